<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\Edge;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\PieceRole;
use Apron\Detail\Side;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Rain;

/** The top edge of a head or apron flashing: under the water plane that goes on above it, all along. */
final readonly class HeadCheck implements DetailCheck
{
    /** @param  array<string, Severity>  $head by piece */
    private function __construct(private Rain $rain, public array $head)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain));
    }

    public function findings(): array
    {
        $findings = [];
        foreach ($this->head as $piece => $verdict) {
            if ($verdict->rank() <= Severity::Caution->rank()) {
                $findings[] = new Finding(
                    'head.exposed',
                    $verdict,
                    $this->rain->subject(),
                    ['piece' => $piece],
                    Source::commonPractice(),
                    $piece,
                );
            }
        }

        return $findings;
    }

    public function told(): array
    {
        return ['head' => (object) array_map(fn (Severity $s): string => $s->value, $this->head)];
    }

    /** @return array<string, Severity> by piece */
    private static function found(Rain $rain): array
    {
        $verdicts = [];
        foreach ($rain->layout->of as $id => $patches) {
            if ($patches[0]->piece->role !== PieceRole::HeadFlashing) {
                continue;
            }
            $worst = Severity::Pass;
            foreach ($patches as $laid) {
                // Under the head no water runs: what is folded in there has no top edge of its own.
                if (in_array($laid->patch->facet, ['head', 'reveal-head'], true)) {
                    continue;
                }
                foreach ($rain->strips->of[$laid->patch->facet] as $strip => [$u0, $u1]) {
                    if (
                        $laid->rect()->u0 <= $u0 &&
                        $laid->rect()->u1 >= $u1 &&
                        ! self::folded($rain->layout, $laid, $u0, $u1)
                    ) {
                        $verdict = self::at($rain, $laid, $strip, ($u0 + $u1) / 2);
                        $worst = $verdict->rank() < $worst->rank() ? $verdict : $worst;
                    }
                }
            }
            $verdicts[(string) $id] = $worst;
        }

        return $verdicts;
    }

    private static function at(Rain $rain, Laid $laid, int $strip, float $u): Severity
    {
        $top = $laid->rect()->v1;
        $facet = $laid->patch->facet;
        foreach ($rain->strips->column[$facet][$strip] as $over) {
            if (
                $over->order > $laid->order &&
                $over->piece->role === PieceRole::Plane &&
                $over->rect()->v0 < $top &&
                $over->rect()->v1 > $top
            ) {
                return Severity::Pass;
            }
        }
        $edge = $laid->edge(Side::Top, $u);
        if ($edge !== Edge::Adhered) {
            return $edge === Edge::Open ? Severity::Fail : Severity::Note;
        }
        // A bond with a second line behind it is a note: the water is let go just above and the lines counted.
        $interval = max(0, $rain->strips->interval($facet, $strip, -$top) - 1);
        $lines = $rain->defence([$facet, $strip, $interval, $rain->outermost($facet, $strip, $interval)]);

        return $lines <= 1 ? Severity::Caution : Severity::Note;
    }

    /** Whether its top goes on into another patch of its piece over these places: a folded top is not a top edge. */
    private static function folded(Layout $layout, Laid $laid, float $u0, float $u1): bool
    {
        foreach ($laid->joined as $other) {
            $spans = $other->rect()->u0 <= $u0 && $other->rect()->u1 >= $u1;
            if (
                $spans &&
                ($other->patch->facet === $laid->patch->facet
                    ? $other->rect()->v0 === $laid->rect()->v1
                    : $layout->endInto($laid, $other) === 'v1')
            ) {
                return true;
            }
        }

        return false;
    }
}
