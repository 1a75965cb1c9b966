<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Detail\Detail;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Rules\RuleFigures;

/**
 * The checks that an opening's own pieces call for: its laps and returns as drawn, each against the least the detail
 * asks, and the looks that no number replaces. Drawn sizes come from the patches, so an edited detail asks what it
 * draws.
 */
final class OpeningChecks
{
    /** @var list<Check> */
    private array $checks = [];

    private function __construct(private readonly Detail $detail)
    {
    }

    /** @return list<Check> in the order of the steps */
    public static function of(Detail $detail): array
    {
        if ($detail->opening === null) {
            return [];
        }
        $self = new self($detail);
        $self->pan();
        $self->jambs();
        $self->head();
        $self->looks();
        usort($self->checks, fn (Check $a, Check $b): int => $a->step <=> $b->step);

        return $self->checks;
    }

    private function pan(): void
    {
        $pan = $this->withRole(PieceRole::Pan);
        // A coat has no upturn to measure and no corner to fold: it is gauged.
        if ($pan === null || $pan->kind === PieceKind::Fluid) {
            return;
        }
        $least = $this->detail->panUpturn ?? RuleFigures::of('openings.figures')->figure('pan_upturn_mm');
        foreach (['left', 'right'] as $hand) {
            $upturn = $this->on($pan, "jamb-$hand");
            if ($upturn !== null) {
                $this->measure(
                    'pan-upturn',
                    $hand,
                    $pan,
                    $upturn->height(),
                    $least,
                    new Measured("jamb-$hand", $upturn->u1 / 2, $upturn->v0, $upturn->u1 / 2, $upturn->v1),
                );
            }
            $this->look('pan-corner', $hand, $pan->step);
        }
        $liner = ['left' => $this->detail->piece('liner-left'), 'right' => $this->detail->piece('liner-right')];
        foreach ($liner as $hand => $piece) {
            [$upturn, $lining] = [
                $this->on($pan, "jamb-$hand"),
                $piece === null ? null : $this->on($piece, "jamb-$hand"),
            ];
            $lap = $upturn !== null && $lining !== null ? $lining->overlap($upturn) : null;
            if ($piece !== null && $lap !== null) {
                $this->lap('liner-over-pan', $hand, $piece, $pan, $lap, "jamb-$hand");
            }
        }
    }

    private function jambs(): void
    {
        $sheet = $this->withRole(PieceRole::Plane);
        $flange = $this->flange();
        foreach (['left', 'right'] as $hand) {
            $strip = $this->detail->piece("jamb-strip-$hand");
            $rect = $strip === null ? null : $this->on($strip, 'face');
            if ($strip === null || $rect === null || $sheet === null || $flange === null) {
                continue;
            }
            $past =
                $hand === 'left'
                    ? new Rect($rect->u0, $rect->v0, $flange->u0, $rect->v1)
                    : new Rect($flange->u1, $rect->v0, $rect->u1, $rect->v1);
            $middle = ($rect->v0 + $rect->v1) / 2;
            $least = $this->detail->leastLap($strip, $sheet)?->end;
            if ($least !== null && $past->width() > 0) {
                $this->measure(
                    'jamb-strip-on-sheet',
                    $hand,
                    $strip,
                    $past->width(),
                    $least,
                    new Measured('face', $past->u0, $middle, $past->u1, $middle),
                );
            }
        }
    }

    private function head(): void
    {
        $head = $this->withRole(PieceRole::HeadFlashing);
        $rect = $head === null ? null : $this->on($head, 'face');
        $sheet = $this->withRole(PieceRole::Plane);
        if ($head === null || $rect === null || $sheet === null) {
            return;
        }
        foreach (['left', 'right'] as $hand) {
            $strip = $this->detail->piece("jamb-strip-$hand");
            $jamb = $strip === null ? null : $this->on($strip, 'face');
            if ($strip === null || $jamb === null) {
                continue;
            }
            $lap = $rect->overlap($jamb);
            if ($lap !== null) {
                $this->lap('head-strip-over-jamb', $hand, $head, $strip, $lap, 'face');
            }
            $past = $hand === 'left' ? [$rect->u0, $jamb->u0] : [$jamb->u1, $rect->u1];
            $this->measure(
                'head-strip-past-jamb',
                $hand,
                $head,
                $past[1] - $past[0],
                RuleFigures::of('openings.flanged')->figure('head_strip_past_jamb_mm'),
                new Measured('face', $past[0], $rect->v0 + 25, $past[1], $rect->v0 + 25),
            );
            $tape = $this->detail->piece("slit-tape-$hand");
            $on = $tape === null ? null : $this->on($tape, 'face');
            $least = $tape === null ? null : $this->detail->leastLap($tape, $sheet)?->end;
            if ($tape !== null && $on !== null && $least !== null) {
                $slit = $hand === 'left' ? $rect->u0 : $rect->u1;
                $outer = $hand === 'left' ? $on->u0 : $on->u1;
                $middle = ($on->v0 + $on->v1) / 2;
                $this->measure(
                    'slit-tape-side',
                    $hand,
                    $tape,
                    abs($slit - $outer),
                    $least,
                    new Measured('face', min($slit, $outer), $middle, max($slit, $outer), $middle),
                );
            }
        }
        foreach ($sheet->patches as $patch) {
            $lap = $patch->step > $head->step && $patch->facet === 'face' ? $patch->rect->overlap($rect) : null;
            $least = $this->detail->leastLap($sheet, $head)?->horizontal;
            if ($lap !== null && $least !== null) {
                $middle = ($lap->u0 + $lap->u1) / 2;
                $this->measure(
                    'flap-over-head-strip',
                    '',
                    $sheet,
                    $lap->height(),
                    $least,
                    new Measured('face', $middle, $lap->v0, $middle, $lap->v1),
                    $patch->step,
                );
            }
        }
    }

    private function looks(): void
    {
        $flange = $this->detail->unit?->flange;
        $piece = $flange === null ? null : $this->detail->piece($flange);
        if ($piece !== null) {
            $this->look('bottom-flange-open', '', $piece->step);
        }
        foreach ($this->detail->steps as $step) {
            if (in_array($step->does, ['inner-air-seal', 'inner-tape', 'inner-membrane', 'inner-sill-bead'], true)) {
                $this->look('inner-seal-whole', '', $step->number);
            }
        }
    }

    private function lap(string $what, string $hand, Piece $outer, Piece $inner, Rect $lap, string $facet): void
    {
        $least = $this->detail->leastLap($outer, $inner)?->horizontal;
        if ($least !== null) {
            $middle = ($lap->u0 + $lap->u1) / 2;
            $this->measure(
                $what,
                $hand,
                $outer,
                $lap->height(),
                $least,
                new Measured($facet, $middle, $lap->v0, $middle, $lap->v1),
            );
        }
    }

    private function measure(
        string $what,
        string $place,
        Piece $piece,
        float $drawn,
        float $least,
        Measured $measured,
        ?int $step = null,
    ): void {
        $this->checks[] = new Check(
            $this->id($what, $place),
            $this->detail->id,
            $what,
            $place,
            $step ?? $piece->step,
            $drawn,
            Bounds::atLeast($least),
            $measured,
        );
    }

    private function look(string $what, string $place, int $step): void
    {
        $this->checks[] = new Check(
            $this->id($what, $place),
            $this->detail->id,
            $what,
            $place,
            $step,
            null,
            null,
            null,
        );
    }

    private function id(string $what, string $place): string
    {
        return $this->detail->id.'.'.$what.($place === '' ? '' : '.'.$place);
    }

    private function withRole(PieceRole $role): ?Piece
    {
        foreach ($this->detail->pieces as $piece) {
            if ($piece->role === $role) {
                return $piece;
            }
        }

        return null;
    }

    /** The largest patch of a piece on a facet. */
    private function on(Piece $piece, string $facet): ?Rect
    {
        $largest = null;
        foreach ($piece->patches as $patch) {
            if (
                $patch->facet === $facet &&
                ($largest === null ||
                    $patch->rect->width() * $patch->rect->height() > $largest->width() * $largest->height())
            ) {
                $largest = $patch->rect;
            }
        }

        return $largest;
    }

    private function flange(): ?Rect
    {
        $piece = $this->detail->unit?->flange === null ? null : $this->detail->piece($this->detail->unit->flange);

        if ($piece === null) {
            return null;
        }
        // Units coupled side by side have a flange round them all.
        $on = array_values(array_filter($piece->patches, fn ($patch): bool => $patch->facet === 'face'));
        $r = array_map(fn ($patch): Rect => $patch->rect, $on);

        return $r === []
            ? null
            : new Rect(
                min(array_column($r, 'u0')),
                min(array_column($r, 'v0')),
                max(array_column($r, 'u1')),
                max(array_column($r, 'v1')),
            );
    }
}
