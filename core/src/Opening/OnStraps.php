<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Edge;
use Apron\Detail\Unit;
use Apron\Detail\UnitJoint;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;

/**
 * A unit without flange, held by straps or clips at a given depth of the opening: sealed outside at jambs and head,
 * drained at the sill.
 */
trait OnStraps
{
    protected function demandRoom(Sizes $s): void
    {
        parent::demandRoom($s);
        $this->demandWholeUnits($s);
        if ($s->mm('depth') < $s->mm('setback') + $s->mm('frame_depth')) {
            throw new CannotGenerate(
                'setback_mm',
                $s->mm('setback'),
                sprintf(
                    'no more than %g mm, so that the frame stays on the sill',
                    $s->mm('depth') - $s->mm('frame_depth'),
                ),
            );
        }
    }

    protected function set(Sizes $s, Choices $chosen): Unit
    {
        $joints = $this->joints();
        if ($chosen->is('air_seal', 'outer-tape')) {
            // Taped outside, it is closed there; inside only the sill has a bead, for its outer joint stays open.
            foreach (['head', 'jamb-left', 'jamb-right'] as $side) {
                $joints[$side] = new UnitJoint(Edge::Sealed, true, false);
            }
        }

        return new Unit($s->mm('setback'), $s->mm('setback') + $s->mm('frame_depth'), null, $joints);
    }

    /**
     * @return array<string, float>
     */
    protected function figuresOf(string $does, Sizes $s): array
    {
        return match ($does) {
            'unit-on-straps', 'unit-on-clips', 'unit-with-membranes', 'unit-with-tape', 'door-on-blocks' => [
                'setback_mm' => $s->mm('setback'),
                'clearance_mm' => $s->mm('clearance'),
            ],
            'mullions-coupled' => [
                'units' => $s->figure('mullions') + 1,
                'each_mm' => $s->mm('width') / ($s->figure('mullions') + 1),
                'clearance_mm' => $s->mm('clearance'),
            ],
            'membrane-below-and-beside' => ['above_mm' => $s->mm('membrane_lap')],
            default => parent::figuresOf($does, $s),
        };
    }

    /**
     * @return list<string> the unit and its seals; straps and clips leak air and are sealed in a second pass
     */
    protected function setAndSealed(Choices $chosen): array
    {
        [$outer, $inner] = match ($chosen->of('air_seal')) {
            'tape' => ['outer-seals', 'inner-tape'],
            'outer-tape' => ['outer-tapes', 'inner-sill-bead'],
            default => ['outer-seals', 'inner-air-seal'],
        };

        return ["unit-on-{$chosen->of('held_by')}", $outer, "{$chosen->of('held_by')}-resealed", $inner];
    }

    /**
     * Where several units stand side by side, the step that closes the lines between them follows the one that sets
     * them. Such a line has no facet: what comes down in it is let go on the sill, as everywhere along that.
     *
     * @param  list<string>  $order
     * @return list<string>
     */
    protected function coupled(array $order, Sizes $s): array
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
        if ($s->figure('mullions') > 0 && $sets !== []) {
            array_splice($order, $sets[0] + 1, 0, ['mullions-coupled']);
        }

        return $order;
    }
}
