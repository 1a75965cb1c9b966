<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Assembly\Assembly;
use Apron\Brief\Brief;
use Apron\Detail\Detail;
use Apron\Drafting\CannotGenerate;
use Apron\Material\Materials;
use Apron\Opening\ComposedOpening;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** An opening, or a junction, as somebody states it: to be made in the wall that it names. */
final readonly class StatedOpening
{
    /**
     * @param  array<string, float|string>  $parameters  as stated for it alone; lengths in mm
     * @param  list<string>  $between  ids of the assemblies it stands in or between
     * @param  array<string, float|string>  $seen  the wall as it was when somebody last looked at it
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $method,
        public array $parameters,
        public array $between = [],
        public array $seen = [],
    ) {
    }

    /**
     * @param  array<string, Assembly>  $assemblies  by id, for those it names
     *
     * @throws CannotGenerate
     */
    public function made(Materials $materials, Brief $brief, array $assemblies): ScheduledOpening
    {
        $method =
            Methods::named($this->method) ??
            throw new CannotGenerate(
                'generator',
                $this->method,
                'one of '.implode(', ', array_keys(Methods::all())),
            );
        $there = $assemblies[$this->between[0] ?? ''] ?? null;
        $wall = $there === null ? null : Wall::of($there);
        [$detail, $refused] = $this->drawn($brief, $materials, $wall);

        return new ScheduledOpening(
            $this->id,
            $this->title,
            $this->method,
            $this->parameters,
            $detail,
            $this->between,
            $this->seen,
            [
                ...$this->missing($assemblies),
                ...$this->between($assemblies),
                ...$refused,
                ...(new InWall($method, $this->parameters, $wall, $this->seen))->findings("details/$this->id"),
            ],
        );
    }

    /**
     * What its wall has outgrown is kept as it states itself, and says so: a wall that is changed breaks nothing that
     * stands in it. What names a wall that is gone is drawn for the wall as it was.
     *
     * @return array{Detail, list<Finding>}
     *
     * @throws CannotGenerate
     */
    private function drawn(Brief $brief, Materials $materials, ?Wall $wall): array
    {
        if ($wall === null) {
            return [$this->make($this->parameters + $this->asSeen(), null, $brief, $materials), []];
        }
        try {
            return [$this->make($this->parameters, $wall, $brief, $materials), []];
        } catch (CannotGenerate $wrong) {
            $isOpening = Methods::named($this->method) instanceof ComposedOpening;
            // A wall thinner, or deeper, than any opening is drawn for the nearest that can be: it fails all the same.
            [$least, $most] = ComposedOpening::EXTENTS['depth_mm'];
            $depth = ['depth_mm' => max($least, min($most, $wall->depth))];
            $stated = $this->parameters + ($isOpening ? $depth + $this->plane($wall->plane) : []);
            $refused = new Finding(
                'opening.not-in-wall',
                Severity::Fail,
                "details/$this->id",
                ['wall' => $wall->name, 'expected' => $wrong->getMessage()],
                Source::commonPractice(),
            );

            return [$this->make($stated, null, $brief, $materials), [$refused]];
        }
    }

    /**
     * @param  array<string, float|string>  $given
     *
     * @throws CannotGenerate
     */
    private function make(array $given, ?Wall $wall, Brief $brief, Materials $materials): Detail
    {
        return Methods::make($this->method, $this->id, $this->title, $given, $brief, $materials, $wall);
    }

    /** @return array<string, string> the wall's plane, where the method has none of its own */
    private function plane(?string $plane): array
    {
        $method = Methods::named($this->method);

        return $method === null || $plane === null || $method->namesPlane() ? [] : ['plane' => $plane];
    }

    /** @return array<string, float|string> what the wall last gave, of what the method asks */
    private function asSeen(): array
    {
        if ($this->seen === [] || $this->between === []) {
            return [];
        }
        $plane = $this->seen['plane'] ?? null;
        $board = $this->seen['insulation_mm'] ?? 0.0;
        $answers = $this->plane(is_string($plane) ? $plane : null);
        if (is_float($board) && $board > 0 && Methods::named($this->method) instanceof ComposedOpening) {
            $atBuck = Methods::named($this->method)->composition($this->parameters)->has('buck_place', 'face');
            $answers += ['outboard' => $atBuck ? 'board-at-buck' : 'board'];
        }
        $asked = array_column(
            Methods::named($this->method)?->parameters($this->parameters + $answers) ?? [],
            'name',
        );

        return $answers +
            array_intersect_key(
                $this->seen,
                array_flip(array_intersect(['depth_mm', 'insulation_mm', 'stud_spacing_mm'], $asked)),
            );
    }

    /**
     * Between two walls it is drawn in the plane of the first; where the other's is another, one is lapped onto the
     * other.
     *
     * @param  array<string, Assembly>  $assemblies
     * @return list<Finding>
     */
    private function between(array $assemblies): array
    {
        $there = array_values(array_intersect_key($assemblies, array_flip($this->between)));
        if (count($there) < 2) {
            return [];
        }
        [$first, $second] = array_map(Wall::of(...), $there);
        if ($first->plane === null || $second->plane === null || $first->plane === $second->plane) {
            return [];
        }

        return [
            new Finding(
                'opening.two-planes',
                Severity::Caution,
                "details/$this->id",
                [
                    'wall' => $first->name,
                    'other' => $second->name,
                    'plane' => "plane.$first->plane",
                    'there' => "plane.$second->plane",
                ],
                Source::commonPractice(),
            ),
        ];
    }

    /**
     * @param  array<string, Assembly>  $assemblies
     * @return list<Finding>
     */
    private function missing(array $assemblies): array
    {
        return array_map(
            fn (string $id): Finding => new Finding(
                'opening.no-such-wall',
                Severity::Fail,
                "details/$this->id",
                ['wall' => $id],
                Source::commonPractice(),
                $id,
            ),
            array_values(array_filter($this->between, fn (string $id): bool => ! isset($assemblies[$id]))),
        );
    }
}
