<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Extension jambs over the cut edges of the board, from the unit out to its face. Their feet are cut to the fall of the
 * sill and stand clear of the second pan, so that what runs down in them gets out.
 */
final class ExtensionJambs extends Part
{
    public function groups(Composition $of): array
    {
        return ['extension'];
    }

    public function materials(Composition $of): array
    {
        return ['trim_material' => 'wood-cladding'];
    }

    /** Round a unit in its return what runs in behind them comes out at their feet. */
    public function worst(Composition $of): Outcome
    {
        return $of->has('held_by', 'flange') ? Outcome::Shed : Outcome::Recovered;
    }

    public function steps(Scheme $in): array
    {
        return ['extension-jambs'];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $board, $foot] = [
            $in->mm('width'),
            $in->mm('height'),
            $in->mm('insulation'),
            $in->mm('extension_clear'),
        ];
        $step = $in->at('extension-jambs');
        $piece = fn (string $id, string $facet, float $v0, float $u1, float $v1, float $length): Piece => Lay::piece(
            $id,
            $in->material('trim'),
            PieceKind::Board,
            $step,
            [Lay::patch("$id.reveal", $facet, [0.0, $v0, $u1, $v1], [], $step)],
            null,
            new CutSize($length, $board),
            null,
            false,
        );

        return [
            $piece('extension-left', 'reveal-jamb-left', $foot, $board, $h, $h - $foot),
            $piece('extension-right', 'reveal-jamb-right', $foot, $board, $h, $h - $foot),
            $piece('extension-head', 'reveal-head', 0.0, $w, $board, $w),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'extension-jambs'
            ? ['board_mm' => $in->mm('insulation'), 'clear_mm' => $in->mm('extension_clear')]
            : null;
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandBelow('extension_clear_mm', $in->mm('height'), 'the height of the opening');
    }
}
