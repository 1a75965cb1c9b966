<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use App\Models\User;
use Apron\Inspection\Fault;
use Apron\Inspection\FaultState;
use Apron\Inspection\SiteRecord;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Rules\Severity;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Ramsey\Uuid\Uuid;
use ZipArchive;

/**
 * Faults as other programs read and write them: BIM Collaboration Format 2.1 (buildingSMART, from memory), a ZIP with a
 * folder for each, its words, its state, its repair as a comment, its photograph as the snapshot. What comes in is
 * signed by who brings it; brought in again, nothing is doubled.
 */
final readonly class FaultExchange
{
    private const SPACE = '6f0c1f52-9d0f-4a62-8a0e-5f6a1f0c2b7d';

    private const MOST_TOPICS = 2000;

    private const MOST_BYTES = 64 * 1024 * 1024;

    /** Severity as others rank it. */
    private const PRIORITIES = ['fail' => 'High', 'caution' => 'Normal', 'note' => 'Low', 'pass' => 'Low'];

    private const STATES = ['open' => 'Open', 'repaired' => 'In Progress', 'closed' => 'Closed'];

    public function __construct(
        private ProjectStore $store,
        private StoredProject $stored,
        private PhotographIntake $intake,
    ) {
    }

    /** @return string the path of a temporary file */
    public function export(Project $project): string
    {
        $path = tempnam(sys_get_temp_dir(), 'apron');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString('bcf.version', self::xml(fn (\XMLWriter $x) => self::version($x)));
        $zip->addFromString('project.bcfp', self::xml(fn (\XMLWriter $x) => self::head($x, $project)));
        $events = SiteEvents::of($project);
        foreach ((new SiteRecord($events))->faults() as $fault) {
            $guid = self::guid($project, $fault->raised->id);
            $picture = null;
            foreach ($events as $event) {
                $isIts = $event->fault === $fault->raised->id ||
                    ($event->check !== null && $event->check === $fault->raised->check);
                $picture = $event->photographs !== [] && $isIts ? $event->photographs[0] : $picture;
            }
            $zip->addFromString(
                "$guid/markup.bcf",
                self::xml(fn (\XMLWriter $x) => self::topic($x, $guid, $fault, $picture !== null)),
            );
            if ($picture !== null) {
                $stored = $project->photographs()->where('sha256', $picture)->first();
                $drawn = $stored === null ? false : @imagecreatefromstring((string) Storage::get($stored->path()));
                $drawn !== false && $zip->addFromString("$guid/snapshot.png", self::png($drawn));
            }
        }
        $zip->close();

        return $path;
    }

    private static function guid(Project $project, string $event): string
    {
        return Uuid::uuid5(self::SPACE, "{$project->id} $event")->toString();
    }

    private static function xml(callable $write): string
    {
        $xml = new \XMLWriter;
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        $write($xml);
        $xml->endDocument();

        return $xml->outputMemory();
    }

    private static function version(\XMLWriter $xml): void
    {
        $xml->startElement('Version');
        $xml->writeAttribute('VersionId', '2.1');
        $xml->writeElement('DetailedVersion', '2.1');
        $xml->endElement();
    }

    private static function head(\XMLWriter $xml, Project $project): void
    {
        $xml->startElement('ProjectExtension');
        $xml->startElement('Project');
        $xml->writeAttribute('ProjectId', Uuid::uuid5(self::SPACE, $project->id)->toString());
        $xml->writeElement('Name', $project->name);
        $xml->endElement();
        $xml->writeElement('ExtensionSchema', '');
        $xml->endElement();
    }

    private static function topic(\XMLWriter $xml, string $guid, Fault $fault, bool $hasPicture): void
    {
        $words = (string) $fault->raised->words;
        $pin = $fault->raised->pin;
        $place = $pin === null
            ? $fault->raised->check
            : sprintf('%s, %.0f mm from the left, %.0f mm up', $pin->part, $pin->x, $pin->z);
        $xml->startElement('Markup');
        $xml->startElement('Topic');
        $xml->writeAttribute('Guid', $guid);
        $xml->writeAttribute('TopicType', 'Fault');
        $xml->writeAttribute('TopicStatus', self::STATES[$fault->state()->value]);
        // The order of its elements is part of the format.
        $xml->writeElement('Title', mb_strimwidth(strtok($words, "\n") ?: $words, 0, 200, '…'));
        $xml->writeElement('Priority', self::PRIORITIES[$fault->severity->value]);
        $place !== null && $xml->writeElement('Labels', $place);
        $xml->writeElement('CreationDate', $fault->raised->at);
        $xml->writeElement('CreationAuthor', $fault->raised->by);
        $xml->writeElement('Description', $words);
        $xml->endElement();
        foreach ([$fault->repaired, $fault->reinspected] as $event) {
            if ($event !== null) {
                $said = $event->words ?? ($fault->state() === FaultState::Closed ? 'in order' : 'not in order');
                $xml->startElement('Comment');
                $xml->writeAttribute('Guid', Uuid::uuid5(self::SPACE, "$guid {$event->id}")->toString());
                $xml->writeElement('Date', $event->at);
                $xml->writeElement('Author', $event->by);
                $xml->writeElement('Comment', $said);
                $xml->endElement();
            }
        }
        if ($hasPicture) {
            $xml->startElement('Viewpoints');
            $xml->writeAttribute('Guid', Uuid::uuid5(self::SPACE, "$guid view")->toString());
            $xml->writeElement('Snapshot', 'snapshot.png');
            $xml->endElement();
        }
        $xml->endElement();
    }

    private static function png(\GdImage $image): string
    {
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /**
     * @return array{new: int, known: int, closed: int} topics that became faults, those that were here already, and of
     *   them how many the file closes
     *
     * @throws FileRefused
     */
    public function import(Project $project, string $path, User $by): array
    {
        $topics = $this->topics($path);
        $mine = [];
        foreach ((new SiteRecord(SiteEvents::of($project)))->faults() as $fault) {
            $mine[self::guid($project, $fault->raised->id)] = $fault;
            // One that came in from a file bears its number.
            str_starts_with($fault->raised->id, 'bcf-') && ($mine[substr($fault->raised->id, 4)] = $fault);
        }
        $told = ['new' => 0, 'known' => 0, 'closed' => 0];

        return DB::transaction(function () use ($project, $topics, $mine, $by, $told): array {
            $visit = self::fresh();
            $events = [['id' => $visit, 'kind' => 'visit', 'visit' => $visit, 'words' => 'brought in from a BCF file']];
            foreach ($topics as $guid => $topic) {
                $fault = $mine[$guid] ?? null;
                $id = $fault->raised->id ?? "bcf-$guid";
                $told[$fault === null ? 'new' : 'known']++;
                if ($fault === null) {
                    $events[] = ['id' => $id, 'kind' => 'fault-raised', 'visit' => $visit] +
                        ['severity' => $topic['severity']->value, 'words' => $topic['words']];
                    if ($topic['picture'] !== null) {
                        $sha = $this->intake->take($project, $topic['picture'], $by)->sha256;
                        $events[] = ['id' => self::fresh(), 'kind' => 'photograph', 'visit' => $visit] +
                            ['fault' => $id, 'photographs' => [$sha]];
                    }
                }
                if ($topic['isDone'] && $fault?->state() !== FaultState::Closed) {
                    $told['closed'] += $fault === null ? 0 : 1;
                    $events[] = ['id' => self::fresh(), 'kind' => 'fault-repaired', 'visit' => $visit] +
                        ['fault' => $id, 'words' => $topic['last'] ?? 'as the BCF file says'];
                    $events[] = ['id' => self::fresh(), 'kind' => 'fault-reinspected', 'visit' => $visit] +
                        ['fault' => $id, 'passes' => true];
                }
            }
            if (count($events) > 1) {
                $nodes = [];
                foreach ($events as $i => $event) {
                    // A thousandth of a second apart, so that they stay in this order.
                    $at = now()->addMilliseconds($i)->utc()->format('Y-m-d\TH:i:s.v\Z');
                    $nodes[] = Node::of($event + ['at' => $at]);
                }
                $this->store->addEvents($project, $nodes, $by, new SiteAsked($project, $this->stored));
            }

            return $told;
        });
    }

    private static function fresh(): string
    {
        return strtolower((string) Str::ulid());
    }

    /**
     * @return array<string, array{words: string, severity: Severity, isDone: bool, last: string|null,
     *   picture: string|null}> by their number
     */
    private function topics(string $path): array
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true || $zip->getFromName('bcf.version') === false) {
            throw new FileRefused('', 'no ZIP with a bcf.version', 'a BCF file, version 2.1');
        }
        $topics = [];
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            if (preg_match('#^([0-9a-fA-F-]{36})/markup\.bcf$#D', (string) $zip->getNameIndex($i), $m) !== 1) {
                continue;
            }
            $snapshot = $zip->statName("$m[1]/snapshot.png");
            $bytes += ($zip->statIndex($i)['size'] ?? 0) + ($snapshot['size'] ?? 0);
            if (count($topics) >= self::MOST_TOPICS || $bytes > self::MOST_BYTES) {
                throw new FileRefused('', 'more than 2,000 topics or 64 MiB', 'a BCF file of at most that size');
            }
            $picture = $snapshot === false ? null : (string) $zip->getFromName("$m[1]/snapshot.png");
            $topics[strtolower($m[1])] = self::read("$m[1]/markup.bcf", (string) $zip->getFromIndex($i)) +
                ['picture' => $picture];
        }

        return $topics;
    }

    /** @return array{words: string, severity: Severity, isDone: bool, last: string|null} */
    private static function read(string $name, string $text): array
    {
        $before = libxml_use_internal_errors(true);
        // Entities and addresses of the network are of no use here, and dangerous.
        $xml = stripos($text, '<!DOCTYPE') === false
            ? simplexml_load_string($text, options: LIBXML_NONET)
            : false;
        libxml_use_internal_errors($before);
        if ($xml === false || ! isset($xml->Topic)) {
            throw new FileRefused("/$name", 'no markup with a topic', 'a markup of BCF 2.1');
        }
        $said = fn (string $key): string => trim((string) $xml->Topic->{$key});
        $words = $said('Description') !== '' ? $said('Description') : $said('Title');
        if ($words === '') {
            throw new FileRefused("/$name", 'a topic without words', 'a title or a description');
        }
        $priority = mb_strtolower($said('Priority'));
        $comments = [];
        foreach ($xml->Comment as $comment) {
            $comments[] = trim((string) $comment->Comment);
        }
        // A comment that only shows a view has no words.
        $comments = array_values(array_filter($comments, fn (string $said): bool => $said !== ''));
        $status = mb_strtolower((string) $xml->Topic['TopicStatus']);

        return [
            'words' => mb_strimwidth($words, 0, 2000, '…'),
            'severity' => match (true) {
                in_array($priority, ['high', 'critical', 'major'], true) => Severity::Fail,
                in_array($priority, ['low', 'minor'], true) => Severity::Note,
                default => Severity::Caution,
            },
            'isDone' => in_array($status, ['closed', 'resolved', 'done'], true),
            'last' => $comments === [] ? null : mb_strimwidth($comments[0], 0, 2000, '…'),
        ];
    }
}
