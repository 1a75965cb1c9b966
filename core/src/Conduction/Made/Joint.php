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

    /** @param  Stack|null  $meets  the roof or the floor that the wall meets; null where it meets none */
    public function __construct(private Stack $wall, private JointSizes $sizes, private ?Stack $meets = null)
    {
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
            JointKind::InsideCorner => [
                'inside corner' => 'inside corner, layers round it',
                'inside corner backed' => 'inside corner, wood behind it',
            ],
            JointKind::Slab => [
                'slab' => 'floor as far as the insulation',
                'slab through' => 'floor through the insulation',
            ],
            JointKind::Girt => ['girt' => 'steel girt through the insulation'],
            JointKind::Stud => ['stud' => 'a stud of the wall'],
            JointKind::Point => ['point' => 'a screw or a bracket, as a round post'],
            JointKind::Parapet => [
                ParapetWay::Bare->value => 'parapet, what bears the wall goes up',
                ParapetWay::Wrapped->value => 'parapet, insulation up its back and over it',
                ParapetWay::OnInsulation->value => 'parapet on the insulation of the roof',
            ],
            JointKind::Foot => [
                'foot' => 'foot of the wall, its insulation to the ground',
                'foot deeper' => 'foot of the wall, its insulation on below the ground',
            ],
            JointKind::Cellar => [
                'cellar' => 'foot of a cellar wall, its insulation to the floor',
                'cellar deeper' => 'foot of a cellar wall, its insulation on below the floor',
            ],
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
        $sizes = $this->sizes;
        $wood = Buck::Wood->conductivity();
        $made = match ($way) {
            'corner' => new CornerSection($this->wall),
            'corner backed' => new CornerSection($this->wall, false, $wood),
            'inside corner' => new CornerSection($this->wall, true),
            'inside corner backed' => new CornerSection($this->wall, true, $wood),
            'slab' => ThroughSection::slab($this->wall, $sizes->slabMm, false),
            'slab through' => ThroughSection::slab($this->wall, $sizes->slabMm, true),
            'girt' => ThroughSection::girt($this->wall, $sizes->gaugeMm, $sizes->flangeMm),
            'stud' => ThroughSection::stud($this->wall),
            'point' => new PointSection($this->wall, $sizes->point),
            'foot' => $this->foot(0.0),
            'foot deeper' => $this->foot($sizes->edgeMm),
            'cellar' => $this->foot(0.0, $sizes->deepMm),
            'cellar deeper' => $this->foot($sizes->edgeMm, $sizes->deepMm),
            default => $this->parapet(ParapetWay::tryFrom($way)) ?? $this->unit($way),
        };

        return $made?->made('s', $title, $inside, $outside);
    }

    private function parapet(?ParapetWay $way): ?ParapetSection
    {
        return $way === null || $this->meets === null
            ? null
            : new ParapetSection($this->wall, $this->meets, $way, $this->sizes->parapetMm, $this->sizes->coverMm);
    }

    private function foot(float $edgeMm, float $deepMm = 0.0): ?FootSection
    {
        return $this->meets === null ? null : new FootSection($this->wall, $this->meets, $edgeMm, $deepMm);
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
            $this->sizes->unit,
            $place,
            $this->sizes->buck,
            $isCovered ? $this->sizes->coverMm : 0.0,
            $this->sizes->flashing,
        );
    }
}
