<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Detail\Detail;
use Apron\Drafting\CannotGenerate;
use Apron\Material\Materials;
use Apron\Trace\Check\AirLine;
use Apron\Trace\DetailAssessment;

/**
 * Where in its opening a unit sits, and what each place costs and gains: reveals and trim, the sill flashing outside of
 * it, whether the air line still reaches it, what carries it. Heat is said in words; the lines of equal temperature
 * round a frame are not computed.
 */
final class UnitDepths
{
    /**
     * @param  array<string, float|string>  $parameters  of the detail: opening, `frame_depth_mm` and materials where
     *   they differ from the usual
     * @param  float  $insulation  thickness of the insulation outside of the sheathing within the return, mm; 0 where
     *   there is none
     * @param  string  $generator  a method of a unit on straps or clips, which can sit at any depth
     * @return list<array{place: string, setback_mm: float, outer_reveal_mm: float, inner_reveal_mm: float,
     *   sill_flashing_mm: float, overhang_mm: float, air: bool, worst: string, severity: string}>
     *   places that fall on the same depth once; `overhang_mm` how much of the frame stands out past the framing
     *
     * @throws CannotGenerate where the frame does not fit the return
     */
    public static function of(
        array $parameters,
        float $insulation,
        Materials $materials,
        string $generator = 'strapped-unit-in-self-adhered',
    ): array {
        $method =
            Methods::named($generator) ??
            throw new CannotGenerate('generator', $generator, 'one of '.implode(', ', array_keys(Methods::all())));
        $takes = array_column($method->parameters(), 'value', 'name');
        if (! array_key_exists('setback_mm', $takes)) {
            throw new CannotGenerate(
                'generator',
                $generator,
                'a unit on straps or clips, which can sit at any depth',
            );
        }
        $parameters = array_intersect_key($parameters, $takes);
        $depth = (float) ($parameters['depth_mm'] ?? 0);
        $frame = (float) ($parameters['frame_depth_mm'] ?? $takes['frame_depth_mm']);
        $most = $depth - $frame;
        if ($most < 0 || $insulation < 0 || $insulation >= $depth) {
            throw new CannotGenerate(
                $most < 0 ? 'frame_depth_mm' : 'insulation_mm',
                $most < 0 ? $frame : $insulation,
                sprintf('less than the return of the opening, %g mm', $depth),
            );
        }
        $places = self::places($depth, $frame, $insulation);
        if (isset($parameters['setback_mm'])) {
            $places['as-drawn'] = (float) $parameters['setback_mm'];
        }
        $rows = [];
        foreach ($places as $place => $wanted) {
            $setback = self::kept($wanted, $most);
            $detail = $method->make('depth', $place, ['setback_mm' => $setback] + $parameters, $materials);
            $rows[] = ['place' => $place] + self::row($detail, $setback, $depth, $frame, $insulation);
        }

        return $rows;
    }

    /**
     * How far in from the face a unit sits at one of the places, mm, its frame kept on the sill; null for a place that
     * is none of them.
     */
    public static function setback(string $place, float $depth, float $frame): ?float
    {
        $wanted = self::places($depth, $frame, 0.0)[$place] ?? null;

        return $wanted === null ? null : self::kept($wanted, $depth - $frame);
    }

    /** @return array<string, float> what each place asks for, mm in from the face */
    private static function places(float $depth, float $frame, float $insulation): array
    {
        return [
            'outer-face' => 0.0,
            'in-line-with-insulation' => ($insulation > 0 ? $insulation : $depth) / 2 - $frame / 2,
            'at-the-sheathing' => $insulation,
            'middle-third' => $depth / 2 - $frame / 2,
        ];
    }

    private static function kept(float $wanted, float $most): float
    {
        return round(max(0.0, min($wanted, $most)), 1);
    }

    /**
     * @return array{setback_mm: float, outer_reveal_mm: float, inner_reveal_mm: float, sill_flashing_mm: float,
     *   overhang_mm: float, air: bool, worst: string, severity: string}
     */
    private static function row(Detail $detail, float $setback, float $depth, float $frame, float $insulation): array
    {
        $assessed = new DetailAssessment($detail);

        return [
            'setback_mm' => $setback,
            'outer_reveal_mm' => $setback,
            'inner_reveal_mm' => $depth - $setback - $frame,
            // Out from the frame over the arris, with the fall the sill has.
            'sill_flashing_mm' => $setback > 0
                    ? round(hypot($setback, (($detail->opening->sillFall ?? 0.0) * $setback) / $depth), 1)
                    : 0.0,
            'overhang_mm' => max(0.0, min($frame, $insulation - $setback)),
            'air' => ! in_array(false, $assessed->of(AirLine::class)->air, true),
            'worst' => $assessed->worst()->told(),
            'severity' => $assessed->severity()->value,
        ];
    }
}
