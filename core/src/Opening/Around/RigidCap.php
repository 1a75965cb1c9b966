<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/**
 * A rigid cap of metal over the unit, its ends turned up as end dams, its upper leg under the head strip, its lower
 * edge a drip clear of the frame: what the head sheds leaves there and not on the glass.
 */
final class RigidCap extends Part
{
    public function groups(Composition $of): array
    {
        return ['head-cap'];
    }

    public function materials(Composition $of): array
    {
        return ['cap_metal_material' => 'aluminium'];
    }

    public function steps(Scheme $in): array
    {
        return ['head-cap'];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $past, $leg, $drip, $step] = [
            $in->mm('width'),
            $in->mm('height'),
            $in->mm('cap_past'),
            $in->mm('cap_leg'),
            $in->mm('cap_drip'),
            $in->at('head-cap'),
        ];

        return [
            Lay::piece(
                'head-cap',
                $in->material('cap_metal'),
                PieceKind::Metal,
                $step,
                [
                    Lay::patch(
                        'head-cap.face',
                        'face',
                        [-$past, $h - $drip, $w + $past, $h + $leg],
                        [],
                        $step,
                        null,
                        true,
                    ),
                ],
                null,
                new CutSize($w + 2 * $past, $leg + $drip),
                null,
                false,
            ),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'head-cap'
            ? [
                'past_mm' => $in->mm('cap_past'),
                'leg_mm' => $in->mm('cap_leg'),
                'drip_mm' => $in->mm('cap_drip'),
            ]
            : null;
    }

    public function demandRoom(Scheme $in): void
    {
        if ($in->mm('cap_leg') < $in->least('membrane_lap')) {
            throw new CannotGenerate(
                'cap_leg_mm',
                $in->mm('cap_leg'),
                sprintf('%g mm or more, for the head strip to lap', $in->least('membrane_lap')),
            );
        }
        $in->demandBelow('cap_past_mm', $in->headCoverSide(), 'so that the head strip covers its whole upper leg');
        $in->demandBelow('cap_leg_mm', $in->headCoverTop(), 'so that the head strip covers its upper leg');
    }
}
