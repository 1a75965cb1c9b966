<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\Detail;

/** What to cut before the work starts: like pieces of one size counted together, in the order of their steps. */
final class CutList
{
    /**
     * @return list<array{step: int, pieces: list<string>, material: string, count: int, length_mm: float,
     *   width_mm: float}>
     */
    public static function of(Detail $detail): array
    {
        $rows = [];
        foreach ($detail->pieces as $piece) {
            if ($piece->cut === null) {
                continue;
            }
            $like = implode(' ', [$piece->step, $piece->material->id, $piece->cut->length, $piece->cut->width]);
            $rows[$like] ??= [
                'step' => $piece->step,
                'pieces' => [],
                'material' => $piece->material->id,
                'count' => 0,
                'length_mm' => $piece->cut->length,
                'width_mm' => $piece->cut->width,
            ];
            $rows[$like]['pieces'][] = $piece->id;
            $rows[$like]['count']++;
        }
        usort($rows, fn (array $a, array $b): int => $a['step'] <=> $b['step']);

        return $rows;
    }
}
