<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * The foot of the sheathing on the foundation: a gap above the concrete, or bedded on it in a capillary break; a strip
 * from the sheathing over the gap onto the coated concrete, the plane down over the strip. The plane's foot is sealed
 * to the strip for air, or left open to drain.
 */
final class SheathingToFoundation extends FacetDetail
{
    use OnFoundation;

    public const NAME = 'sheathing-to-foundation';

    protected const RELEASE = 'wall';

    protected const MATERIALS = [
        'coat_material' => 'dampproofing',
        'strip_material' => 'flashing-strip',
        'sheet_material' => 'polyolefin-wrap',
        'tape_material' => 'seam-tape',
    ];

    protected const CHOICES = ['foot' => ['sealed', 'open'], 'sheathing_foot' => ['gap', 'bedded']];

    /** Water runs on the outside of the plane, and off its foot onto what goes on below. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['foundation-coat', []],
            [
                $chosen->is('sheathing_foot', 'gap') ? 'foot-strip' : 'foot-strip-bedded',
                ($chosen->is('sheathing_foot', 'gap') ? ['gap_mm' => $s->mm('gap')] : []) + [
                    'wall_mm' => $s->mm('strip_up'),
                    'down_mm' => $s->mm('strip_down'),
                ],
            ],
            ["plane-foot-{$chosen->of('foot')}", ['lap_mm' => $s->mm('lap')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $up, $down] = [$s->mm('length'), $s->mm('side'), $s->mm('strip_up'), $s->mm('strip_down')];
        $edges = $chosen->is('foot', 'sealed')
            ? new \Apron\Detail\Edges(['bottom' => \Apron\Detail\Edge::Sealed])
            : null;

        $strip = (int) $at->firstOf('foot-strip', 'foot-strip-bedded');
        $foot = (int) $at->firstOf('plane-foot-sealed', 'plane-foot-open');

        return [
            $this->foundationCoat($s, $used->of('coat'), $at),
            Lay::piece(
                'foot-strip',
                $used->of('strip'),
                PieceKind::Membrane,
                $strip,
                [
                    Lay::patch('foot-strip.wall', 'wall', [0, 0, $w, $up], ['s'], $strip),
                    Lay::patch(
                        'foot-strip.foundation',
                        'foundation',
                        [0, $side - $down, $w, $side],
                        ['s'],
                        $strip,
                    ),
                ],
                null,
                new CutSize($w, $up + ($chosen->is('sheathing_foot', 'gap') ? $s->mm('gap') : 0.0) + $down),
            ),
            Lay::piece(
                'plane',
                $used->of('sheet'),
                PieceKind::Sheet,
                $foot,
                [Lay::patch('plane.wall', 'wall', [0, $up - $s->mm('lap'), $w, $side], [], $foot)],
                PieceRole::Plane,
                null,
                $edges,
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('strip_up_mm', $s->mm('side'), 'the wall that is drawn');
        $s->demandBelow('strip_down_mm', $s->mm('side'), 'the foundation that is drawn');
        $s->demandBelow('lap_mm', $s->mm('strip_up'), 'the strip on the wall');
    }
}
