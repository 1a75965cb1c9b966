<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Material\Material;
use Apron\Trace\Outcome;

/**
 * A flanged unit in a solid wall (insulating forms, masonry, concrete): a buck of wood or insulation lines the opening,
 * a self-adhered membrane over the whole wall gives the pan and the strips something to lap under. Another school
 * leaves that membrane out where the solid bears water: pan and liners are then bonded straight to it, and the head
 * strip's top relies on its seal.
 */
final class UnitInSolidWall extends FlangedUnitInSelfAdhered
{
    public const NAME = 'unit-in-solid-wall';

    protected const MATERIALS = parent::MATERIALS + [
        'wood_buck_material' => 'lumber-treated',
        'insulating_buck_material' => 'eps-dense',
    ];

    protected const CHOICES = parent::CHOICES + [
        'buck' => ['wood', 'insulating'],
        'solid_sheet' => ['required', 'omitted'],
    ];

    public function worst(array $parameters = []): Outcome
    {
        return ($parameters['solid_sheet'] ?? '') === 'omitted' ? Outcome::WetsTolerant : parent::worst($parameters);
    }

    protected function tolerant(Choices $chosen): array
    {
        return $chosen->is('solid_sheet', 'omitted') ? ['face'] : [];
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        // With nothing above to lap it, the head strip is sealed along its top, as where it laps the wrong way.
        $order = parent::order(
            $chosen->is('solid_sheet', 'omitted') ? $chosen->with('head', 'reverse-lap') : $chosen,
            $s,
        );

        return [
            "solid-buck-{$chosen->of('buck')}",
            ...array_diff($order, $chosen->is('solid_sheet', 'omitted') ? ['membrane-all-over'] : []),
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        $dressing = parent::pieces($s, $used, $at, $chosen);
        if ($chosen->is('solid_sheet', 'omitted')) {
            // The solid holds the wall's air itself: what is bonded to it on every return joins it without a sheet.
            $dressing = array_map(
                fn (Piece $p): Piece => in_array($p->id, ['pan', 'liner-left', 'liner-right', 'head-liner'], true)
                    ? $p->asAirLayer()
                    : $p,
                $dressing,
            );
        }

        return [...$this->lining($s, $used->of($chosen->of('buck').'_buck')), ...$dressing];
    }

    /**
     * The four boards of the buck on the returns, bedded in sealant.
     *
     * @return list<Piece>
     */
    private function lining(Sizes $s, Material $material): array
    {
        [$w, $h, $d, $less] = [$s->mm('width'), $s->mm('height'), $s->mm('depth'), $s->mm('buck_shorter')];
        $bedded = Edges::all(Edge::Sealed);
        $boards = [];
        foreach (
            [
                'sill' => [0, 0, $w, $d],
                'jamb-left' => [0, 0, $d, $h],
                'jamb-right' => [0, 0, $d, $h],
                'head' => [0, 0, $w, $d],
            ] as $facet => $rect
        ) {
            $length = in_array($facet, ['sill', 'head'], true) ? $w : $h;
            $boards[] = $this->laid(
                "buck-$facet",
                $material,
                PieceKind::Board,
                1,
                [$this->patch("buck-$facet.in", $facet, $rect, [], 1)],
                null,
                new CutSize($length - $less, $d),
                $bedded,
            );
        }

        return $boards;
    }

    /**
     * @return array<string, float>
     */
    protected function figuresOf(string $does, Sizes $s): array
    {
        return str_starts_with($does, 'solid-buck-')
            ? ['less_mm' => $s->mm('buck_shorter')]
            : parent::figuresOf($does, $s);
    }
}
