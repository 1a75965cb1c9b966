<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
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
 * The sheet hangs past the bottom plate over the coated foundation and drips there; its foot stays open, behind an
 * insect screen.
 */
final class OverhangingFoot extends FacetDetail
{
    use OnFoundation;

    public const NAME = 'overhanging-foot';

    protected const RELEASE = 'wall';

    protected const PLANES = [WallPlane::FastenedSheet, WallPlane::SelfAdhered];

    protected const REFUSED = self::NO_OVERHANG;

    protected const MATERIALS = [
        'coat_material' => 'dampproofing',
        'screen_material' => 'entangled-mesh',
    ];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['foundation-coat', []],
            ['insect-screen', []],
            ['plane-overhang', ['overhang_mm' => $s->mm('overhang')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $over] = [$s->mm('length'), $s->mm('side'), $s->mm('overhang')];

        return [
            $this->foundationCoat($s, $used->of('coat'), $at),
            Lay::piece(
                'insect-screen',
                $used->of('screen'),
                PieceKind::Sheet,
                $at->of('insect-screen'),
                [
                    Lay::patch(
                        'insect-screen.face',
                        'foundation',
                        [0, $side - $over, $w, $side],
                        [],
                        $at->of('insect-screen'),
                    ),
                ],
                null,
                new CutSize($w, 2 * $over),
                null,
                false,
            ),
            $this->overhang($s, $used, $chosen, $at),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('overhang_mm', $s->mm('side'), 'the foundation that is drawn');
    }
}
