<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Drafting\CannotGenerate;
use Apron\Rules\RuleFigures;
use Apron\Sealant\Bearing;
use Apron\Sealant\PrecompressedTape;
use Apron\Sealant\SealantJoint;

/**
 * The joint round a unit and the pieces it takes: what to cut, what to push in, how much of it. Everything follows from
 * the opening, the gap each side and the unit's weight; the figures of the trade are in `joinery.json`.
 */
final class Joinery
{
    /** What is asked of each, with the least and most that make sense. */
    private const TAKES = [
        'width_mm' => [300, 6000],
        'height_mm' => [300, 6000],
        'depth_mm' => [60, 1000],
        'gap_mm' => [3, 100],
        'frame_mm' => [30, 300],
        'unit_kg' => [1, 2000],
    ];

    /**
     * @param  array<string, float>  $given  opening `width_mm`, `height_mm`, `depth_mm`; `gap_mm` each side; `frame_mm`
     *   depth of the unit's frame; `unit_kg`
     * @return list<array{what: string, figures: array<string, float|int|string>}> by the codes of the text catalogue
     *
     * @throws CannotGenerate where a size is missing or makes no sense
     */
    public static function of(array $given): array
    {
        foreach (self::TAKES as $name => [$least, $most]) {
            $value = $given[$name] ?? throw new CannotGenerate($name, 'nothing', "$least to $most");
            if ($value < $least || $value > $most) {
                throw new CannotGenerate($name, $value, "$least to $most");
            }
        }
        if ($given['frame_mm'] > $given['depth_mm']) {
            throw new CannotGenerate(
                'frame_mm',
                $given['frame_mm'],
                sprintf('no more than the return of the opening, %g mm', $given['depth_mm']),
            );
        }
        $f = RuleFigures::of('joinery');
        [$w, $h, $gap, $frame] = [$given['width_mm'], $given['height_mm'], $given['gap_mm'], $given['frame_mm']];
        [$unitW, $unitH] = [$w - 2 * $gap, $h - 2 * $gap];
        $around = 2 * ($unitW + $unitH);
        $rows = [];

        $rows[] = self::row('membrane', [
            'length_mm' => $around + $f->figure('membrane_lap_mm') + 4 * $f->figure('corner_fold_mm'),
            'around_mm' => $around,
            'lap_mm' => $f->figure('membrane_lap_mm'),
            'fold_mm' => $f->figure('corner_fold_mm'),
        ]);
        $rows[] = self::row('strips', [
            'sill_mm' => $w + $f->figure('strip_extra_mm'),
            'jamb_mm' => $h + $f->figure('strip_extra_mm'),
            'slit_mm' => $f->figure('strip_extra_mm') / 2,
        ]);

        // The frame moves along its length; half of it at each side's joint.
        $joint = new SealantJoint(
            $f->figure('expansion_per_k'),
            max($unitW, $unitH) / 2,
            $f->figure('swing_k'),
            $f->figure('movement_share'),
            0.0,
        );
        $tape = PrecompressedTape::choose($gap, $joint->movementMm());
        $cut = [
            'sill_mm' => PrecompressedTape::cutMm($unitW),
            'jamb_mm' => PrecompressedTape::cutMm($unitH),
            'first_mm' => $f->figure('first_inch_mm'),
            'minutes' => (int) $f->figure('tape_grows_min'),
            'joint_mm' => $gap,
            'movement_mm' => $joint->movementMm(),
        ];
        $rows[] =
            $tape === null
                ? self::row('tape-none', $cut)
                : self::row('tape', $cut + ['from_mm' => $tape[0], 'to_mm' => $tape[1]]);

        [$rodFrom, $rodTo] = SealantJoint::backerRod($gap);
        $rows[] = self::row($joint->widthMm() <= $gap ? 'sealant' : 'sealant-narrow', [
            'joint_mm' => $gap,
            'depth_mm' => SealantJoint::depthOf($gap),
            'rod_from_mm' => $rodFrom,
            'rod_to_mm' => $rodTo,
            'needs_mm' => $joint->widthMm(),
            'movement_mm' => $joint->movementMm(),
            'length_mm' => $around,
        ]);

        $shims = Bearing::shims($given['unit_kg']);
        $rows[] = self::row('shims', [
            'kg' => (int) round($given['unit_kg']),
            'area_mm2' => (int) round($shims),
            'area_in2' => round($shims / 645.16, 1),
            'side_mm' => ceil(sqrt($shims / 2)),
            'gap_mm' => $f->figure('drain_gap_mm'),
        ]);
        $rows[] = self::row('blocks', ['block_mm' => Bearing::settingBlock($w, $unitW)]);

        $litres = fn (float $share): float => (2 * ($w + $h) * $gap * $frame * $share) / 1e6;
        $rows[] = self::row('foam', [
            'grow_mm' => $frame * $f->figure('foam_share_grows'),
            'full_mm' => $frame * $f->figure('foam_share_full'),
            'grow_l' => round($litres($f->figure('foam_share_grows')), 2),
            'full_l' => round($litres($f->figure('foam_share_full')), 2),
        ]);

        $extra = $f->figure('buck_extra_mm');
        $rows[] = self::row('rough-opening', [
            'unit_width_mm' => $unitW,
            'unit_height_mm' => $unitH,
            'width_mm' => $w,
            'height_mm' => $h,
            'buck_width_mm' => $w + $extra,
            'buck_height_mm' => $h + $extra,
        ]);
        $short = $f->figure('buck_short_mm');
        $rows[] = self::row('buck', [
            'sill_mm' => $w - $short,
            'jamb_mm' => $h - $short,
            'less_mm' => $short,
            'beads' => 3,
            'nails' => (int) (2 * (ceil($w / $f->figure('buck_nail_mm')) + ceil($h / $f->figure('buck_nail_mm')))),
            'nail_mm' => $f->figure('buck_nail_mm'),
        ]);

        $rows[] = self::row('bow-tie', [
            'length_mm' => $f->figure('bow_tie_length_mm'),
            'width_mm' => $f->figure('bow_tie_end_mm'),
            'waist_mm' => $f->figure('bow_tie_waist_mm'),
            'count' => 2,
        ]);
        $rows[] = self::row('lintel-corner', [
            'leg_mm' => $f->figure('lintel_corner_mm'),
            'depth_mm' => $given['depth_mm'],
            'count' => 2,
        ]);

        return $rows;
    }

    /**
     * @param  array<string, float|int|string>  $figures
     * @return array{what: string, figures: array<string, float|int|string>}
     */
    private static function row(string $what, array $figures): array
    {
        return ['what' => "joinery.$what", 'figures' => $figures];
    }
}
