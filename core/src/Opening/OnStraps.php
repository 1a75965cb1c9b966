<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Edge;
use Apron\Detail\Unit;
use Apron\Detail\UnitJoint;
use Apron\Drafting\CannotGenerate;

/**
 * A unit without flange, held by straps or clips at a given depth of the opening: sealed outside at jambs and head,
 * drained at the sill.
 */
trait OnStraps
{
    protected function demandRoom(array $s): void
    {
        parent::demandRoom($s);
        $this->demandWholeUnits($s);
        if ($s['depth_mm'] < $s['setback_mm'] + $s['frame_depth_mm']) {
            throw new CannotGenerate(
                'setback_mm',
                $s['setback_mm'],
                sprintf(
                    'no more than %g mm, so that the frame stays on the sill',
                    $s['depth_mm'] - $s['frame_depth_mm'],
                ),
            );
        }
    }

    protected function set(array $s, array $chosen): Unit
    {
        $joints = $this->joints();
        if (($chosen['air_seal'] ?? '') === 'outer-tape') {
            // Taped outside, it is closed there; inside only the sill has a bead, for its outer joint stays open.
            foreach (['head', 'jamb-left', 'jamb-right'] as $side) {
                $joints[$side] = new UnitJoint(Edge::Sealed, true, false);
            }
        }

        return new Unit($s['setback_mm'], $s['setback_mm'] + $s['frame_depth_mm'], null, $joints);
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, float>
     */
    protected function figuresOf(string $does, array $s): array
    {
        return match ($does) {
            'unit-on-straps', 'unit-on-clips', 'unit-with-membranes', 'unit-with-tape', 'door-on-blocks' => [
                'setback_mm' => $s['setback_mm'],
                'clearance_mm' => $s['clearance_mm'],
            ],
            'mullions-coupled' => [
                'units' => $s['mullions'] + 1,
                'each_mm' => $s['width_mm'] / ($s['mullions'] + 1),
                'clearance_mm' => $s['clearance_mm'],
            ],
            'membrane-below-and-beside' => ['above_mm' => $s['membrane_lap_mm']],
            default => parent::figuresOf($does, $s),
        };
    }

    /**
     * @param  array<string, string>  $chosen
     * @return list<string> the unit and its seals; straps and clips leak air and are sealed in a second pass
     */
    protected function setAndSealed(array $chosen): array
    {
        [$outer, $inner] = match ($chosen['air_seal']) {
            'tape' => ['outer-seals', 'inner-tape'],
            'outer-tape' => ['outer-tapes', 'inner-sill-bead'],
            default => ['outer-seals', 'inner-air-seal'],
        };

        return ["unit-on-{$chosen['held_by']}", $outer, "{$chosen['held_by']}-resealed", $inner];
    }

    /**
     * Where several units stand side by side, the step that closes the lines between them follows the one that sets
     * them. Such a line has no facet: what comes down in it is let go on the sill, as everywhere along that.
     *
     * @param  list<string>  $order
     * @param  array<string, float>  $s
     * @return list<string>
     */
    protected function coupled(array $order, array $s): array
    {
        $sets = array_keys(
            array_intersect($order, [
                'unit-on-straps',
                'unit-on-clips',
                'unit-with-membranes',
                'unit-with-tape',
                'door-on-blocks',
            ]),
        );
        if ($s['mullions'] > 0 && $sets !== []) {
            array_splice($order, $sets[0] + 1, 0, ['mullions-coupled']);
        }

        return $order;
    }
}
