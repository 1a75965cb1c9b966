<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;

/**
 * A unit in a buck round the opening, insulating or of wood: bedded in sealant to the sheet, corners sealed and pinned,
 * left to cure, then lined, the unit set in it, jambs and head flashed onto the sheet, the bottom left open. The buck
 * is drawn flat on the face; how far it stands out of it is outside of the model.
 */
final class UnitInBuck extends FlangedUnitInFastenedSheet
{
    public const NAME = 'unit-in-buck';

    protected const MATERIALS = parent::MATERIALS + [
        'insulating_buck_material' => 'eps-dense',
        'wood_buck_material' => 'plywood',
    ];

    protected const CHOICES = ['buck' => ['insulating', 'wood']] + parent::CHOICES;

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(
            ['sheet-cut-and-turned-in', "buck-{$chosen->of('buck')}", ...$this->dressed()],
            $s,
            $chosen,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h, $b, $less, $step] = [
            $s->mm('width'),
            $s->mm('height'),
            $s->mm('buck_face'),
            $s->mm('buck_shorter'),
            $at->of('buck-'.$chosen->of('buck')),
        ];
        $bedded = Edges::all(Edge::Sealed);
        $buck = [];
        foreach (
            [
                'sill' => [-$b, -$b, $w + $b, 0],
                'left' => [-$b, 0, 0, $h],
                'right' => [$w, 0, $w + $b, $h],
                'head' => [-$b, $h, $w + $b, $h + $b],
            ] as $side => $rect
        ) {
            $length = in_array($side, ['sill', 'head'], true) ? $w + 2 * $b : $h;
            $buck[] = $this->laid(
                "buck-$side",
                $used->of($chosen->of('buck').'_buck'),
                PieceKind::Board,
                $step,
                [$this->patch("buck-$side.face", 'face', $rect, [], $step)],
                null,
                new CutSize($length - $less, $b),
                $bedded,
            );
        }

        return [
            $this->sheet($s, $used->of('sheet'), $at->of('sheet-cut-and-turned-in'), $at->of('flap-down')),
            ...$buck,
            ...$this->dressing($s, $used, $at),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        parent::demandRoom($s);
        $most = min(
            $s->mm('face_return'),
            $s->mm('jamb_strip') - $this->stripInner($s) - $this->least['membrane_lap_mm'],
            $s->mm('sheet_cut_above_head'),
        );
        if ($s->mm('buck_face') > $most) {
            throw new CannotGenerate(
                'buck_face_mm',
                $s->mm('buck_face'),
                sprintf('no more than %g mm, so that pan, strips and flap reach the sheet past it', $most),
            );
        }
    }

    protected function figuresOf(string $does, Sizes $s): array
    {
        return str_starts_with($does, 'buck-')
            ? ['face_mm' => $s->mm('buck_face'), 'less_mm' => $s->mm('buck_shorter')]
            : parent::figuresOf($does, $s);
    }
}
