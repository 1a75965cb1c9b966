<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Series;
use Apron\Cure\Spots;
use Apron\Cure\Step;
use Apron\Cure\Trial;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;

/** Insulation outside of the structure where there is none: behind the cladding, above the deck, under a render. */
final class BoardOutside implements Change
{
    private const THINNEST = 5.0;

    public function series(Trial $trial, Assembly $assembly): array
    {
        $spots = new Spots($assembly);
        if ($spots->boardOutside) {
            return [];
        }
        $list = match (true) {
            $assembly->soil !== null => 'boards_below_grade',
            $assembly->kind === AssemblyKind::Roof => 'boards_on_roof',
            $spots->bareMasonry => 'boards_under_render',
            default => 'boards_on_wall',
        };

        return array_map(
            fn (Material $board): Series => self::of($trial, $assembly, $spots, $board),
            $trial->materials($list),
        );
    }

    private static function of(Trial $trial, Assembly $assembly, Spots $spots, Material $board): Series
    {
        $render = $spots->bareMasonry ? $trial->materials('render')[0] ?? null : null;
        $with = function (float $mm) use ($assembly, $spots, $board, $render): Assembly {
            $changed = Trial::with($assembly, $spots->outside, $board, $mm);

            return $render === null ? $changed : Trial::with($changed, $spots->outside + 1, $render);
        };
        $thinnest = RuleFigures::of('cures')->figure(
            $render === null ? 'board_mm_least' : 'board_under_render_mm_least',
        );
        $sold = array_values(array_filter($trial->sold(), fn (float $mm): bool => $mm >= $thinnest));
        $steps = array_map(
            fn (float $mm): Step => new Step($with($mm), $mm, [
                'material' => $board->name,
                'to_mm' => $mm,
                'r_m2k_w' => $board->resistanceOf($mm),
            ]),
            $sold,
        );

        return new Series(
            CureKind::OuterBoard,
            match (true) {
                $render !== null => 'render',
                $assembly->kind === AssemblyKind::Roof => 'roof',
                default => '',
            },
            'l'.$board->id,
            $steps === [] ? throw new \LogicException('no thickness is sold') : $steps,
            null,
            $with,
            [self::THINNEST, $sold[count($sold) - 1]],
        );
    }
}
