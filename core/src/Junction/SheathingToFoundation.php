<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * The foot of the sheathing on the foundation: a gap above the concrete, or bedded on it in a capillary break; a strip
 * from the sheathing over the gap onto the coated concrete, the plane down over the strip. The plane's foot is sealed
 * to the strip for air, or left open to drain; a coat is always sealed, and over boards the strip is bonded last.
 */
final class SheathingToFoundation extends FacetDetail
{
    use OnFoundation;

    public const NAME = 'sheathing-to-foundation';

    protected const RELEASE = 'wall';

    protected const PLANES = WallPlane::SHEET_FIRST;

    protected const MATERIALS = [
        'coat_material' => 'dampproofing',
        'strip_material' => 'flashing-strip',
        'tape_material' => 'seam-tape',
    ];

    protected const CHOICES = ['foot' => ['sealed', 'open'], 'sheathing_foot' => ['gap', 'bedded']];

    /** Water runs on the outside of the plane, and off its foot onto what goes on below. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters)?->standsFirst() ? Outcome::ReliesOnBond : Outcome::Shed;
    }

    protected function choicesIn(?WallPlane $plane): array
    {
        $sheet = $plane === WallPlane::FastenedSheet || $plane === WallPlane::SelfAdhered;

        return $sheet ? self::CHOICES : array_diff_key(self::CHOICES, ['foot' => []]);
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $plane = match ($chosen->plane()) {
            WallPlane::FastenedSheet, WallPlane::SelfAdhered => [
                ["plane-foot-{$chosen->of('foot')}", ['lap_mm' => $s->mm('lap')]],
            ],
            WallPlane::Fluid => [['wall-coat', []]],
            default => [],
        };

        return [
            ['foundation-coat', []],
            ...$chosen->stands() ? [['boards-on-wall', []]] : [],
            [
                $chosen->is('sheathing_foot', 'gap') ? 'foot-strip' : 'foot-strip-bedded',
                ($chosen->is('sheathing_foot', 'gap') ? ['gap_mm' => $s->mm('gap')] : []) + [
                    'wall_mm' => $s->mm('strip_up'),
                    'down_mm' => $s->mm('strip_down'),
                ],
            ],
            ...$plane,
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $up, $down] = [$s->mm('length'), $s->mm('side'), $s->mm('strip_up'), $s->mm('strip_down')];
        $edges = $chosen->is('foot', 'sealed')
            ? new Edges(['bottom' => Edge::Sealed])
            : null;

        $strip = (int) $at->firstOf('foot-strip', 'foot-strip-bedded');
        $foot = (int) $at->firstOf('plane-foot-sealed', 'plane-foot-open', 'wall-coat', 'boards-on-wall');
        $from = $chosen->stands() ? 0.0 : $up - $s->mm('lap');

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
            Lay::plane('plane', $used, $chosen, $foot, 'wall', [0, $from, $w, $side], $edges),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('strip_up_mm', $s->mm('side'), 'the wall that is drawn');
        $s->demandBelow('strip_down_mm', $s->mm('side'), 'the foundation that is drawn');
        $s->demandBelow('lap_mm', $s->mm('strip_up'), 'the strip on the wall');
    }
}
