<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\Edge;
use Apron\Detail\Layout;
use Apron\Detail\PieceRole;
use Apron\Detail\Side;
use Apron\Detail\SillPitch;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** The sill of an opening: its joints, its fall, and the pan with its ends. */
final class SillCheck
{
    /**
     * @param  bool  $weatherSealed  whether the project is of the school that seals the outer joint on all four sides
     * @return array<string, Severity>
     */
    public static function of(Layout $layout, bool $weatherSealed): array
    {
        $opening = $layout->detail->opening;
        if ($opening === null) {
            return [];
        }
        $found = [];
        $unit = $layout->detail->unit;
        $joint = $unit->joints['sill'] ?? null;
        if ($unit !== null) {
            $bath = ($joint !== null && $joint->outer === Edge::Sealed) || self::flangeSealed($layout, $unit->flange);
            $onAllSides =
                count($unit->joints) === 4 &&
                array_filter($unit->joints, fn ($j): bool => $j->outer !== Edge::Sealed || ! $j->inner) === [];
            $found['outer_joint'] = ! $bath
                ? Severity::Pass
                : ($weatherSealed && $onAllSides
                    ? Severity::Caution
                    : Severity::Fail);
        }
        if ($joint !== null) {
            $found['inner_seal'] = $joint->inner ? Severity::Pass : Severity::Fail;
        }
        $found['pitch'] = match ($opening->sillPitch) {
            SillPitch::Out => $opening->sillFall + $opening->backDam < $opening->headOfWater
                ? Severity::Caution
                : Severity::Pass,
            SillPitch::Level => Severity::Caution,
            SillPitch::In => Severity::Fail,
        };

        return [...$found, ...self::pan($layout, $opening->width)];
    }

    /** A flange whose bottom holds all along makes the pan a bath. */
    private static function flangeSealed(Layout $layout, ?string $flange): bool
    {
        foreach ($flange === null ? [] : $layout->of[$flange] as $laid) {
            if ($laid->patch->facet === 'face' && $laid->rect()->v0 <= 0) {
                return $laid->holdsAlong(Side::Bottom);
            }
        }

        return false;
    }

    /** @return array{end_dams: Severity, pan_upturn: Severity} */
    private static function pan(Layout $layout, float $width): array
    {
        $ends = ['jamb-left' => 0.0, 'jamb-right' => 0.0];
        foreach ($layout->facet('sill') as $sill) {
            if ($sill->piece->role !== PieceRole::Pan) {
                continue;
            }
            foreach ($sill->joined as $up) {
                $facet = $up->patch->facet;
                $reaches =
                    ($facet === 'jamb-left' && $sill->rect()->u0 <= 0) ||
                    ($facet === 'jamb-right' && $sill->rect()->u1 >= $width);
                if ($reaches && $up->rect()->v0 <= 0) {
                    $ends[$facet] = max($ends[$facet], $up->rect()->v1);
                }
            }
        }
        $least = $layout->detail->panUpturn ?? RuleFigures::of('laps')->figure('pan_upturn_mm');
        $upturn = min($ends);

        return [
            'end_dams' => $upturn > 0 ? Severity::Pass : Severity::Fail,
            'pan_upturn' => Severity::ofLeast($upturn, $least),
        ];
    }
}
