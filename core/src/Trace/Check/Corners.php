<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\Layout;
use Apron\Detail\PieceKind;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Rain;

/** The corners of an opening: covered by one piece continuous across three facets, or not. */
final readonly class Corners implements DetailCheck
{
    /** What can go round three facets without a cut. */
    private const CAN = [PieceKind::Formable, PieceKind::Corner, PieceKind::Moulded, PieceKind::Fluid];

    /** @param  array<string, Severity>  $corners by corner; empty where there is no opening */
    private function __construct(private Rain $rain, public array $corners)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain->layout));
    }

    public function findings(): array
    {
        $open = array_keys(array_filter($this->corners, fn (Severity $s): bool => $s === Severity::Fail));

        return array_map(
            fn (string $corner): Finding => new Finding(
                'corner.open',
                Severity::Fail,
                $this->rain->subject(),
                ['corner' => $corner],
                Source::commonPractice(),
                $corner,
            ),
            $open,
        );
    }

    public function told(): array
    {
        return $this->corners === []
            ? []
            : ['corners' => array_map(fn (Severity $s): string => $s->value, $this->corners)];
    }

    /** @return array<string, Severity> by corner; empty where there is no opening */
    private static function found(Layout $layout): array
    {
        $opening = $layout->detail->opening;
        if ($opening === null) {
            return [];
        }
        $corners = [];
        foreach (['bottom', 'top'] as $end) {
            foreach (['left', 'right'] as $hand) {
                [$x, $y] = [$hand === 'left' ? 0.0 : $opening->width, $end === 'bottom' ? 0.0 : $opening->height];
                $corners["$end-$hand"] = match (true) {
                    self::covered($layout, $x, $y, $end === 'bottom' ? 'sill' : 'head', "jamb-$hand") => Severity::Pass,
                    $end === 'top' && self::shielded($layout, $x, $y) => Severity::Note,
                    default => Severity::Fail,
                };
            }
        }

        return $corners;
    }

    /** Whether one formable piece goes on without a cut from the sill or head into the jamb and onto the face. */
    private static function covered(Layout $layout, float $x, float $y, string $level, string $jamb): bool
    {
        foreach ($layout->facet($level) as $flat) {
            if (! in_array($flat->piece->kind, self::CAN, true)) {
                continue;
            }
            // What it is joined to it meets at an arris, so it lies in the corner where both of these do.
            $on = [];
            foreach ($flat->joined as $other) {
                $o = $other->rect();
                if (
                    $o->v0 <= $y &&
                    $o->v1 >= $y &&
                    ($other->patch->facet === $jamb ? $o->u0 <= 0 : $o->u0 <= $x && $o->u1 >= $x)
                ) {
                    $on[$other->patch->facet] = true;
                }
            }
            // Where it goes on out over the board's edge there is no outer corner at the sheathing.
            if (isset($on[$jamb]) && (isset($on['face']) || isset($on["reveal-$level"]))) {
                return true;
            }
        }

        return false;
    }

    private static function shielded(Layout $layout, float $x, float $y): bool
    {
        foreach ($layout->facet('face') as $laid) {
            $r = $laid->rect();
            if ($r->u0 < $x && $r->u1 > $x && $r->v0 < $y && $r->v1 > $y) {
                return true;
            }
        }

        return false;
    }
}
