<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Conduction\AirBeside;
use Apron\Conduction\Block;
use Apron\Conduction\Flanking;
use Apron\Conduction\PlaneHeat;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\Rect;
use Apron\Rules\RuleFigures;

/**
 * The jamb of a unit in a wall, cut level: wall to the right, unit to the left, inside below. ψ of the installation is
 * what the whole loses more than wall and unit lose alone (ISO 10211, 7.1; ISO 10077-1, annex on installation).
 */
final readonly class UnitSection
{
    public function __construct(
        private Stack $wall,
        private Unit $unit,
        public UnitPlace $place,
        public Buck $buck = Buck::Wood,
        /** mm of outer insulation over the frame */
        private float $coverMm = 0.0,
        public Flashing $flashing = Flashing::Membrane,
    ) {
    }

    /**
     * @param  float  $inside  °C
     * @param  float  $outside  °C
     * @return PlaneSection|null null where the wall has no such place
     *
     * @throws \Apron\Budget\TakesTooLong
     */
    public function made(string $id, string $title, float $inside, float $outside): ?PlaneSection
    {
        $outer = $this->place->outerFace($this->wall, $this->unit->frameDeepMm);
        if ($outer === null) {
            return null;
        }
        $alone = $this->alone($outer);
        $beside = $this->unit->frameWideMm + self::of('glass_mm');
        $lost = (new PlaneHeat(new PlaneSection($id, $title, $alone, $this->airs($outer, $inside, $outside, false))))
            ->coupling();

        return new PlaneSection(
            $id,
            $title,
            [...$this->wall->blocks(0.0, self::of('wall_mm')), ...$alone, ...$this->joint($outer)],
            $this->airs($outer, $inside, $outside, true),
            [],
            [
                new Flanking($this->wall->u(), self::of('wall_mm')),
                new Flanking((float) $lost / ($beside / 1000), $beside),
            ],
        );
    }

    /** @return non-empty-list<Block> frame and glass */
    private function alone(float $outer): array
    {
        $inner = $outer - $this->unit->frameDeepMm;
        $middle = 0.5 * ($outer + $inner);
        $edge = -self::of('gap_mm') - $this->unit->frameWideMm;
        $half = $this->unit->glassMm / 2;

        return [
            new Block(new Rect($edge, $inner, -self::of('gap_mm'), $outer), $this->unit->frameConductivity()),
            new Block(
                new Rect($edge - self::of('glass_mm'), $middle - $half, $edge, $middle + $half),
                $this->unit->glassConductivity(),
            ),
        ];
    }

    /** @return list<Block> what lies between unit and wall, and over both */
    private function joint(float $outer): array
    {
        $inner = $outer - $this->unit->frameDeepMm;
        $bears = $this->wall->sheathing();
        $blocks = [];
        $conductivity = $this->buck->conductivity();
        if ($conductivity !== null) {
            // As deep as what bears, and out to the unit where that sits further out.
            $blocks[] = new Block(new Rect(0.0, 0.0, self::of('buck_mm'), max($bears, $outer)), $conductivity);
        }
        $blocks[] = new Block(new Rect(-self::of('gap_mm'), $inner, 0.0, $outer), self::of('foam_w_mk'));
        if ($inner > self::of('lining_mm')) {
            $blocks[] = new Block(new Rect(-self::of('lining_mm'), 0.0, 0.0, $inner), self::of('lining_w_mk'));
        }
        $insulation = $this->wall->insulation();
        if ($insulation !== null && $this->coverMm > 0 && $outer < $this->wall->thick) {
            $over = min($this->coverMm + self::of('gap_mm'), self::of('gap_mm') + $this->unit->frameWideMm - 5);
            $blocks[] = new Block(new Rect(-$over, $outer, 0.0, $this->wall->thick), $insulation[2]);
        }
        [$thick, $sheet] = $this->flashing->sheet();
        if ($outer < $this->wall->thick) {
            // Along the reveal, from behind the frame to the face.
            $blocks[] = new Block(new Rect(-$thick, $inner, 0.0, $this->wall->thick), $sheet);
        }

        return $blocks;
    }

    /** @return non-empty-list<AirBeside> */
    private function airs(float $outer, float $inside, float $outside, bool $withWall): array
    {
        $middle = $outer - $this->unit->frameDeepMm / 2;
        $far = -self::of('gap_mm') - $this->unit->frameWideMm - self::of('glass_mm');
        // Alone, nothing flows through the side of its frame.
        $side = $withWall ? 0.0 : -self::of('gap_mm');
        $unit = [
            new AirBeside(new Rect($far, -100.0, $side, $middle), $inside, self::of('unit_rsi_m2k_w'), true),
            new AirBeside(
                new Rect($far, $middle, $side, $this->wall->thick + 100),
                $outside,
                self::of('unit_rse_m2k_w'),
                false,
            ),
        ];
        $rsi = $this->wall->assembly->rsi();
        $rse = $this->wall->assembly->rse();

        return $withWall ? [
            ...$unit,
            new AirBeside(new Rect(0.0, -100.0, self::of('wall_mm'), 0.0), $inside, $rsi, true),
            new AirBeside(
                new Rect(0.0, $this->wall->thick, self::of('wall_mm'), $this->wall->thick + 100),
                $outside,
                $rse,
                false,
            ),
        ] : $unit;
    }

    private static function of(string $figure): float
    {
        return RuleFigures::of('joints')->figure($figure);
    }
}
