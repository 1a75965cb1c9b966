<?php

declare(strict_types=1);

namespace Apron\Conduction\Made;

use Apron\Conduction\PlaneSection;

/** A joint in every way that it is usually made, so that they can be set side by side. */
final readonly class Joint
{
    private const UNIT = [
        'outer-face' => 'unit at the outer face',
        'insulation' => 'unit in line with the insulation',
        'sheathing' => 'unit at the sheathing',
        'middle-third' => 'unit in the middle third',
    ];

    private const COVERED = ' covered';

    /** W/(m·K): softwood built into a corner */
    private const WOOD = 0.13;

    public function __construct(
        private Stack $wall,
        private Unit $unit,
        private Buck $buck,
        private Flashing $flashing,
        private float $coverMm,
        private float $slabMm,
        private float $gaugeMm,
        private float $flangeMm,
    ) {
    }

    /** @return array<string, string> title by name */
    public function ways(JointKind $kind): array
    {
        return match ($kind) {
            JointKind::Unit => array_merge(...array_map(
                fn (string $way, string $title): array => [
                    $way => "$title, frame bare",
                    $way.self::COVERED => "$title, insulation over the frame",
                ],
                array_keys(self::UNIT),
                array_values(self::UNIT),
            )),
            JointKind::Corner => [
                'corner' => 'outside corner, layers round it',
                'corner backed' => 'outside corner, wood behind it',
            ],
            JointKind::Slab => [
                'slab' => 'floor as far as the insulation',
                'slab through' => 'floor through the insulation',
            ],
            JointKind::Girt => ['girt' => 'steel girt through the insulation'],
        };
    }

    /**
     * @param  string  $way  of `ways`
     * @param  float  $inside  °C
     * @param  float  $outside  °C
     * @return PlaneSection|null null where the wall does not have it
     *
     * @throws \Apron\Budget\TakesTooLong
     */
    public function made(string $way, string $title, float $inside, float $outside): ?PlaneSection
    {
        $made = match ($way) {
            'corner' => new CornerSection($this->wall),
            'corner backed' => new CornerSection($this->wall, self::WOOD),
            'slab' => ThroughSection::slab($this->wall, $this->slabMm, false),
            'slab through' => ThroughSection::slab($this->wall, $this->slabMm, true),
            'girt' => ThroughSection::girt($this->wall, $this->gaugeMm, $this->flangeMm),
            default => $this->unit($way),
        };

        return $made?->made('s', $title, $inside, $outside);
    }

    private function unit(string $way): ?UnitSection
    {
        $isCovered = str_ends_with($way, self::COVERED);
        $place = UnitPlace::from(str_replace(self::COVERED, '', $way));
        // At the outer face nothing lies outside of the frame that could cover it.
        if ($isCovered && ($place === UnitPlace::OuterFace || $this->wall->insulation() === null)) {
            return null;
        }

        return new UnitSection(
            $this->wall,
            $this->unit,
            $place,
            $this->buck,
            $isCovered ? $this->coverMm : 0.0,
            $this->flashing,
        );
    }
}
