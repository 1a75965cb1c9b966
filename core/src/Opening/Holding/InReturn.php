<?php

declare(strict_types=1);

namespace Apron\Opening\Holding;

use Apron\Detail\Edge;
use Apron\Detail\Unit;
use Apron\Drafting\CannotGenerate;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/**
 * A unit without flange at a given depth of the opening: on straps, clips or brackets, screwed into the buck, or a door
 * on its blocks. Its joint is closed outside in one of several ways, or left open there, and sealed inside.
 */
final class InReturn extends Part implements Held
{
    public function groups(Composition $of): array
    {
        return [
            'straps',
            ...$of->has('outboard', 'board') ? ['in-return-behind-board'] : [],
            ...$of->has('held_by', 'blocks') ? ['threshold'] : [],
            ...$of->has('buck_place', 'face') ? ['in-return-of-buck'] : [],
        ];
    }

    public function steps(Scheme $in): array
    {
        return [
            ...$this->setting($in),
            ...$in->figure('mullions') > 0 ? ['mullions-coupled'] : [],
            ...$this->outside($in),
            ...$this->resealing($in),
            InnerSeal::of($in->of)->step(),
            ...$in->of->has('held_by', 'blocks') ? ['threshold-channel'] : [],
        ];
    }

    /** @return list<string> */
    private function setting(Scheme $in): array
    {
        return [
            match (true) {
                $in->of->has('held_by', 'blocks') => 'door-on-blocks',
                $in->of->has('outer', 'precompressed-tape') => 'unit-with-tape',
                $in->of->has('outer', 'membranes', 'membranes-meshed') => 'unit-with-membranes',
                default => 'unit-on-'.$in->of->of('held_by'),
            },
        ];
    }

    /** @return list<string> what closes the joint outside */
    private function outside(Scheme $in): array
    {
        return match ($in->of->of('outer')) {
            'open' => [],
            'precompressed-tape' => ['tape-grown', 'joint-insulation'],
            'tape-fed-in' => ['tape-fed-in', 'tape-grown', 'joint-insulation'],
            'membranes' => ['joint-insulation', 'membranes-pressed'],
            'membranes-meshed' => ['membranes-meshed', 'joint-insulation'],
            default => [
                $in->of->has('air_seal', 'outer-tape') ? 'outer-tapes' : 'outer-seals',
                ...$in->of->has('outer_sill', 'weather-sealed') ? ['outer-sill-sealed'] : [],
            ],
        };
    }

    /** @return list<string> what holds the unit leaks air and is sealed in a pass of its own */
    private function resealing(Scheme $in): array
    {
        return match ($in->of->answers['clips_sealed'] ?? null) {
            null => [],
            'each' => ['held-beaded'],
            'after-inner' => ['held-resealed-last'],
            default => [
                $in->of->has('held_by', 'straps', 'clips') ? $in->of->of('held_by').'-resealed' : 'held-resealed',
            ],
        };
    }

    public function set(Scheme $in): Unit
    {
        return new Unit(
            $in->mm('setback'),
            $in->mm('setback') + $in->mm('frame_depth'),
            null,
            InnerSeal::of($in->of)->joints(
                $in->of->has('outer', 'open') ? Edge::Open : Edge::Sealed,
                $in->of->has('outer_sill', 'weather-sealed') ? Edge::Sealed : Edge::Open,
            ),
        );
    }

    public function headCoverTop(Scheme $in): float
    {
        return $in->mm('face_return');
    }

    /** Past the head liner at both sides, so that its top is covered too. */
    public function headCoverSide(Scheme $in): float
    {
        return $in->mm('face_return') + $in->least('slit_tape_side');
    }

    public function besideReach(Scheme $in): float
    {
        return $in->mm('face_return');
    }

    public function sheetCut(Scheme $in): float
    {
        return $in->of->has('outboard', 'board') ? $in->mm('upstand') - $in->least('flap_over_head_strip') : 0.0;
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match (true) {
            str_starts_with($does, 'unit-'), $does === 'door-on-blocks' => [
                'setback_mm' => $in->mm('setback'),
                'clearance_mm' => $in->mm('clearance'),
            ],
            $does === 'mullions-coupled' => [
                'units' => $in->figure('mullions') + 1,
                'each_mm' => $in->mm('width') / ($in->figure('mullions') + 1),
                'clearance_mm' => $in->mm('clearance'),
            ],
            default => in_array($does, $this->steps($in), true) ? [] : null,
        };
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandWholeUnits();
        if ($in->mm('depth') < $in->mm('setback') + $in->mm('frame_depth')) {
            throw new CannotGenerate(
                'setback_mm',
                $in->mm('setback'),
                sprintf(
                    'no more than %g mm, so that the frame stays on the sill',
                    $in->mm('depth') - $in->mm('frame_depth'),
                ),
            );
        }
    }
}
