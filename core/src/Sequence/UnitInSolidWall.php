<?php

namespace Apron\Sequence;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;

/**
 * A flanged unit in a solid wall (insulating forms, masonry, concrete): a buck of wood or insulation lines the opening, a self-adhered
 * membrane over the whole wall gives the pan and the strips something to lap under.
 */
final class UnitInSolidWall extends DressedOpening
{
    use Flanged, InSelfAdhered {
        Flanged::figuresOf as flangedFigures;
    }

    public const NAME = 'unit-in-solid-wall';

    protected const GROUPS = ['flanged'];

    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable', 'pan_material' => 'flashing-formable', 'strip_material' => 'flashing-strip', 'unit_material' => 'window-unit',
        'wood_buck_material' => 'lumber-treated', 'insulating_buck_material' => 'eps-dense',
    ];

    protected const CHOICES = ['buck' => ['wood', 'insulating']];

    /** Shingled: what leaks at the unit comes out under the open bottom flange. */
    public function worst(array $parameters = []): \Apron\Trace\Outcome
    {
        return \Apron\Trace\Outcome::Recovered;
    }

    protected function order(array $chosen, array $s): array
    {
        return $this->withMullions(["solid-buck-{$chosen['buck']}", 'membrane-below-and-beside', 'sill-pan', 'jamb-liners', 'head-liner', 'unit-in-sealant', 'jamb-strips', 'head-strip', 'course-above', 'inner-air-seal'], $s);
    }

    protected function pieces(array $s, array $used, array $at, array $chosen): array
    {
        return [
            ...$this->lining($s, $used["{$chosen['buck']}_buck_material"]),
            $this->field($s, $used['membrane_material'], $at['membrane-below-and-beside'], $this->cutAbove($s)),
            $this->pan($s, $used['pan_material'], $at['sill-pan']),
            ...$this->jambLiners($s, $used['strip_material'], $at['jamb-liners']),
            $this->headLiner($s, $used['pan_material'], $at['head-liner']),
            ...$this->units($s, $used['unit_material'], $at),
            ...$this->jambStrips($s, $used['strip_material'], $at['jamb-strips']),
            $this->headStrip($s, $used['strip_material'], $at['head-strip']),
            $this->courseAbove($s, $used['membrane_material'], $at['course-above'], $this->cutAbove($s) - $s['membrane_lap_mm']),
        ];
    }

    /**
     * The four boards of the buck on the returns, bedded in sealant.
     *
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    private function lining(array $s, \Apron\Material\Material $material): array
    {
        [$w, $h, $d, $less] = [$s['width_mm'], $s['height_mm'], $s['depth_mm'], $s['buck_shorter_mm']];
        $bedded = new Edges(['left' => Edge::Sealed, 'right' => Edge::Sealed, 'top' => Edge::Sealed, 'bottom' => Edge::Sealed]);
        $boards = [];
        foreach (['sill' => [0, 0, $w, $d], 'jamb-left' => [0, 0, $d, $h], 'jamb-right' => [0, 0, $d, $h], 'head' => [0, 0, $w, $d]] as $facet => $rect) {
            $length = in_array($facet, ['sill', 'head'], true) ? $w : $h;
            $boards[] = $this->laid("buck-$facet", $material, PieceKind::Board, 1, [$this->patch("buck-$facet.in", $facet, $rect, [], 1)], null, new CutSize($length - $less, $d), $bedded);
        }

        return $boards;
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, float>
     */
    protected function figuresOf(string $does, array $s): array
    {
        return str_starts_with($does, 'solid-buck-') ? ['less_mm' => $s['buck_shorter_mm']] : $this->flangedFigures($does, $s);
    }
}
