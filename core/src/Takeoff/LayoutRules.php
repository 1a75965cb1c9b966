<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/**
 * What a layout is judged by, however it came about. What nobody has moved was laid as well as it could be: of that
 * only what leaves the wall bare or leaks is told; a joint that somebody has put somewhere is told all that it costs.
 */
final class LayoutRules
{
    /**
     * @param  list<Moved>  $moved  of this layout
     * @return list<LayoutFault>
     */
    public static function of(Layout $layout, array $moved): array
    {
        $courses = array_unique(array_map(fn (Moved $m): int => $m->course, $moved));

        return [
            ...self::level($layout),
            ...array_values(
                array_filter(
                    $moved === [] ? [] : self::upright($layout),
                    fn (LayoutFault $fault): bool => in_array($fault->course, $courses, true) ||
                        in_array($fault->course - 1, $courses, true),
                ),
            ),
            ...self::tooLong($layout),
        ];
    }

    /** @return list<LayoutFault> courses that leave a gap, or lap too little */
    private static function level(Layout $layout): array
    {
        $faults = [];
        foreach ($layout->as->isRolled() ? $layout->levelJoints() : [] as $course => $joint) {
            if ($joint['lap'] < $layout->size->lapLevel - 1) {
                $faults[] = new LayoutFault(
                    $joint['lap'] < 0 ? 'takeoff.gap' : 'takeoff.lap-short',
                    Severity::Fail,
                    $course,
                    null,
                    [
                        'course' => $course + 1,
                        'lap_mm' => max(0.0, $joint['lap']),
                        'gap_mm' => max(0.0, -$joint['lap']),
                        'least_mm' => $layout->size->lapLevel,
                    ],
                );
            }
        }

        return $faults;
    }

    /** @return list<LayoutFault> */
    private static function upright(Layout $layout): array
    {
        $figures = RuleFigures::of('takeoff');
        [$stagger, $corner] = [$figures->figure('stagger_mm'), $figures->figure('corner_mm')];
        $faults = [];
        $joints = $layout->uprightJoints();
        $byCourse = [];
        foreach ($joints as $joint) {
            $byCourse[$joint['course']][] = $joint['x'];
        }
        foreach ($joints as $joint) {
            $fault = fn (string $code, float $least, float $off): LayoutFault => new LayoutFault(
                $code,
                Severity::Caution,
                $joint['course'],
                $joint['x'],
                ['course' => $joint['course'] + 1, 'at_mm' => $joint['x'], 'least_mm' => $least, 'off_mm' => $off],
            );
            if (! $layout->backing->holds($joint['x'])) {
                $faults[] = $fault('takeoff.off-framing', $layout->backing->spacing ?? 0.0, 0.0);
            }
            $xs = $byCourse[$joint['course'] - 1] ?? [];
            if ($layout->as->isBoard()) {
                foreach ($layout->behind as $piece) {
                    if ($piece->foot < $joint['high'] - 1 && $piece->top > $joint['low'] + 1) {
                        $xs[] = $piece->right < $layout->face->right - 1 ? $piece->right : -INF;
                    }
                }
                foreach ($layout->face->holes as [$left, $sill, $right, $head]) {
                    $near = min(abs($left - $joint['x']), abs($right - $joint['x']));
                    $inRow = ($sill >= $joint['low'] - 1 && $sill <= $joint['high'] + 1) ||
                        ($head >= $joint['low'] - 1 && $head <= $joint['high'] + 1);
                    if ($inRow && $near < $corner) {
                        $faults[] = $fault('takeoff.at-corner', $corner, $near);
                    }
                }
            }
            $near = $xs === [] ? INF : min(array_map(fn (float $x): float => abs($x - $joint['x']), $xs));
            if ($near < $stagger - 1) {
                $faults[] = $fault('takeoff.not-staggered', $stagger, $near);
            }
        }

        return $faults;
    }

    /** @return list<LayoutFault> pieces that no roll and no board is as long as */
    private static function tooLong(Layout $layout): array
    {
        $most = min($layout->size->length, $layout->as->isRolled() ? $layout->rule->longest ?? INF : INF);
        $faults = [];
        foreach ($layout->pieces as $piece) {
            if ($piece->length > $most + 1) {
                $faults[] = new LayoutFault(
                    'takeoff.too-long',
                    Severity::Fail,
                    $piece->course,
                    $piece->left,
                    ['course' => $piece->course + 1, 'length_mm' => $piece->length, 'most_mm' => $most],
                );
            }
        }

        return $faults;
    }
}
