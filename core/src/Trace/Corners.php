<?php

namespace Apron\Trace;

use Apron\Detail\PieceKind;
use Apron\Severity;

/** The corners of an opening: covered by one piece continuous across three facets, or not. */
final class Corners
{
    /** What can go round three facets without a cut. */
    private const CAN = [PieceKind::Formable, PieceKind::Corner, PieceKind::Moulded, PieceKind::Fluid];

    /** @return array<string, Severity> by corner; empty where there is no opening */
    public static function of(Layout $layout): array
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

    private static function covered(Layout $layout, float $x, float $y, string $level, string $jamb): bool
    {
        foreach ($layout->of as $patches) {
            if (! in_array($patches[0]->piece->kind, self::CAN, true)) {
                continue;
            }
            $on = ['face' => null, $level => null, $jamb => null];
            foreach ($patches as $laid) {
                $r = $laid->rect();
                $touches = match ($laid->patch->facet) {
                    'face' => $r->u0 <= $x && $r->u1 >= $x && $r->v0 <= $y && $r->v1 >= $y,
                    $level => $r->u0 <= $x && $r->u1 >= $x && $r->v0 <= 0,
                    $jamb => $r->u0 <= 0 && $r->v0 <= $y && $r->v1 >= $y,
                    default => false,
                };
                // On the face the patch that folds over is the one that counts.
                if ($touches && ($on[$laid->patch->facet] === null || $laid->joined !== [])) {
                    $on[$laid->patch->facet] = $laid;
                }
            }
            [$face, $flat, $upright] = [$on['face'], $on[$level], $on[$jamb]];
            if ($face !== null && $flat !== null && $upright !== null && in_array($upright, $flat->joined, true) && self::joinedToFace($patches, $flat, $x, $y)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Laid>  $patches */
    private static function joinedToFace(array $patches, Laid $flat, float $x, float $y): bool
    {
        foreach ($patches as $laid) {
            $r = $laid->rect();
            if ($laid->patch->facet === 'face' && $r->u0 <= $x && $r->u1 >= $x && $r->v0 <= $y && $r->v1 >= $y && in_array($flat, $laid->joined, true)) {
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
