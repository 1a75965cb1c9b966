<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use App\Models\User;
use Apron\Inspection\EventKind;
use Apron\Inspection\SiteEvent as CoreEvent;
use Apron\Inspection\SiteFormat;
use Apron\Json\FileRefused;
use Apron\Json\Node;

/** Takes in what a phone sends: each event read, signed, held against what is here, and what it refers to looked up. */
final class EventIntake
{
    /** @var array<string, string> of events that are here: id => content */
    private array $known = [];

    /** @var array<string, string> of those that these refer to: id => kind */
    private array $kinds = [];

    /** @var array<string, true> digests of photographs that are here */
    private array $photographs = [];

    public function __construct(
        private readonly Project $project,
        private readonly User $by,
        private readonly SiteAsked $asked,
    ) {
    }

    /**
     * @param  list<Node>  $nodes
     * @param  callable(array<string, mixed>): void  $write
     * @return int how many were new
     *
     * @throws FileRefused|OtherContent
     */
    public function take(array $nodes, callable $write): int
    {
        $events = array_map(fn (Node $node): CoreEvent => SiteFormat::event($this->signed($node)), $nodes);
        $this->look($events);
        $new = 0;
        foreach (self::inOrder($events) as $i) {
            $event = $events[$i];
            $row = SiteFormat::write($event);
            if (isset($this->known[$event->id])) {
                $this->demandSame($event->id, $row);

                continue;
            }
            $this->demandReferences($nodes[$i], $event);
            if ($event->reading() !== null && $event->reading()->asked === null) {
                $row = $this->asked->put($row);
                // What a phone was asked before a check went it says itself; without that nobody knows what was read.
                if (! isset($row['asked'])) {
                    $nodes[$i]->get('check')->refuse('the id of a check of this project');
                }
            }
            $write($row);
            $this->known[$event->id] = $this->text($row);
            $this->kinds[$event->id] = $event->kind->value;
            $new++;
        }
        if ($new > 0) {
            $this->project->changed();
        }

        return $new;
    }

    /**
     * A phone may send in any order: a visit comes before what belongs to it, a fault before what is said of it, a
     * reading before what corrects it, and that by time.
     *
     * @param  list<CoreEvent>  $events
     * @return list<int> their numbers
     */
    private static function inOrder(array $events): array
    {
        $rank = function (CoreEvent $event): array {
            $isCorrection = $event->reading()?->supersedes !== null;
            $stage = match (true) {
                $event->kind === EventKind::Visit => 0,
                $event->kind === EventKind::FaultRaised => 1,
                default => $isCorrection ? 3 : 2,
            };

            return [$stage, $isCorrection ? $event->instant() : ''];
        };
        $order = array_keys($events);
        usort($order, fn (int $a, int $b): int => $rank($events[$a]) <=> $rank($events[$b]));

        return $order;
    }

    /** The server says who: whatever a phone writes there, it is the person signed in. */
    private function signed(Node $node): Node
    {
        $raw = $node->raw();

        return $raw instanceof \stdClass
            ? $node->with(['by' => $this->by->name, 'account' => $this->by->id])
            : $node->refuse('an object');
    }

    /** @param  list<CoreEvent>  $events */
    private function look(array $events): void
    {
        $ids = array_map(fn (CoreEvent $e): string => $e->id, $events);
        $this->known = $this->project->siteEvents()->whereIn('event', $ids)->pluck('content', 'event')->all();
        $named = array_merge(
            $ids,
            ...array_map(
                fn (CoreEvent $e): array => array_filter([$e->visit, $e->reading()?->supersedes, $e->fault]),
                $events,
            ),
        );
        $this->kinds = $this->project
            ->siteEvents()
            ->whereIn('event', array_values(array_unique($named)))
            ->pluck('kind', 'event')
            ->all();
        $digests = array_merge([], ...array_map(fn (CoreEvent $e): array => $e->photographs, $events));
        $this->photographs =
            $digests === []
                ? []
                : array_fill_keys(
                    $this->project->photographs()->whereIn('sha256', $digests)->pluck('sha256')->all(),
                    true,
                );
    }

    /**
     * What it says is compared, not who sent it or by which edition it was judged: those the server adds.
     *
     * @param  array<string, mixed>  $row
     */
    private function demandSame(string $id, array $row): void
    {
        $there = json_decode($this->known[$id], true);
        $said = fn (array $event): array => array_diff_key(json_decode($this->text($event), true), [
            'by' => 1,
            'account' => 1,
            'asked' => 1,
        ]);
        if ($said($there) != $said($row)) {
            throw new OtherContent($id);
        }
    }

    private function demandReferences(Node $node, CoreEvent $event): void
    {
        foreach ($event->photographs as $digest) {
            if (! isset($this->photographs[$digest])) {
                $node->get('photographs')->refuse('a photograph sent before the event that names it', $digest);
            }
        }
        if ($event->kind !== EventKind::Visit && ($this->kinds[$event->visit] ?? null) !== EventKind::Visit->value) {
            $node->get('visit')->refuse('the id of a visit event');
        }
        if (
            $event->reading()?->supersedes !== null &&
            ($this->kinds[$event->reading()->supersedes] ?? null) !== EventKind::Reading->value
        ) {
            $node->get('supersedes')->refuse('the id of a reading');
        }
        if ($event->fault !== null && ($this->kinds[$event->fault] ?? null) !== EventKind::FaultRaised->value) {
            $node->get('fault')->refuse('the id of a fault-raised event');
        }
    }

    /** @param  array<string, mixed>  $row */
    private function text(array $row): string
    {
        return json_encode($row, JSON_THROW_ON_ERROR);
    }
}
