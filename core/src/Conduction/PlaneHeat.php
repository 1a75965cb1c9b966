<?php

declare(strict_types=1);

namespace Apron\Conduction;

/**
 * What a section loses, refined until halving its cells changes nothing that matters (ISO 10211, 6.3.2 asks for 1 %).
 */
final readonly class PlaneHeat
{
    /** of the flow: halving the cells has to change less */
    public const ENOUGH = 0.01;

    /** of the flow: it is gone on until then, where the grid stays small enough */
    private const AIM = 0.002;

    /** of what the halving before changed: where a finer grid does not bring less than this, none will */
    private const NEARER = 0.8;

    private const USUAL_NODES = 50_000;

    private const MOST_NODES = 400_000;

    public PlaneField $field;

    /** W/m from the airs inside to the others */
    public float $flow;

    /** of the flow; null where there is none */
    public ?float $changed;

    /** @throws \Apron\Budget\TakesTooLong */
    public function __construct(public PlaneSection $section)
    {
        $field = new PlaneField($section, PlaneGrid::of($section));
        $changed = null;
        do {
            [$coarser, $before] = [$field, $changed];
            $field = new PlaneField($section, $coarser->grid->halved(), $coarser);
            $flow = self::given($section, $field);
            $changed = abs($flow) > 1e-9 ? abs($flow - self::given($section, $coarser)) / abs($flow) : null;
            $next = 4 * $field->grid->nodes();
            $settles = $before === null || $changed < self::NEARER * $before;
            $goesOn = $changed !== null && $changed > ($next > self::USUAL_NODES ? self::ENOUGH : self::AIM);
        } while ($goesOn && $settles && $next <= self::MOST_NODES);
        $this->field = $field;
        $this->flow = $flow;
        $this->changed = $changed;
    }

    /** W/(m·K): thermal coupling coefficient L2D; null where there are not exactly two temperatures */
    public function coupling(): ?float
    {
        $airs = $this->section->airs();

        return $airs === null ? null : $this->flow / ($airs['inside'] - $airs['outside']);
    }

    /** W/(m·K): what the joint adds to the parts beside it (ISO 10211, 7.1); of a section round an axis χ, W/K */
    public function psi(): ?float
    {
        $coupling = $this->coupling();
        $beside = array_sum(array_map(
            fn (Flanking $part): float => ($part->u * $part->lengthMm) / 1000,
            $this->section->flanking,
        ));

        return $coupling === null ? null : $coupling - $beside;
    }

    /** @return array{temperature: float, x: float, y: float}|null °C, mm */
    public function coldest(): ?array
    {
        return $this->field->coldestInside();
    }

    /** fRsi at the coldest place inside (ISO 10211, 7.2) */
    public function factor(): ?float
    {
        $airs = $this->section->airs();
        $coldest = $this->coldest();

        return $airs === null || $coldest === null
            ? null
            : ($coldest['temperature'] - $airs['outside']) / ($airs['inside'] - $airs['outside']);
    }

    private static function given(PlaneSection $section, PlaneField $field): float
    {
        $flow = 0.0;
        foreach ($section->airs as $a => $air) {
            $flow += $section->isInside($air) ? $field->flows[$a] : 0.0;
        }

        return $flow;
    }
}
