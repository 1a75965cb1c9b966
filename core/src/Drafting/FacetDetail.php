<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Detail\Detail;
use Apron\Detail\Facet;
use Apron\Detail\Fold;
use Apron\Detail\FramingMember;
use Apron\Detail\Gap;
use Apron\Detail\Generated;
use Apron\Detail\LeastLap;
use Apron\Detail\Penetration;
use Apron\Detail\Piece;
use Apron\Detail\PlacedFastener;
use Apron\Detail\Rect;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Materials;

/** A detail that is no opening: a few facets, the arrises between them, and pieces laid on them. */
abstract class FacetDetail implements Generator
{
    /** @var string what the project file calls the method; each says its own */
    public const NAME = '';

    /** @var array<string, string> material parameter => the id it starts at */
    protected const MATERIALS = [];

    /** @var array<string, list<string>> choice => what may be chosen, the usual first */
    protected const CHOICES = [];

    /** @var array<string, array{float, float}> sizes that must be given, mm: least and most */
    protected const EXTENTS = ['length_mm' => [300.0, 6000.0]];

    /** @var string the facet whose top the rain is let go at */
    protected const RELEASE = 'face';

    /** @var list<WallPlane> the planes of a wall that it can be made in, the usual first; none where it has no plane */
    protected const PLANES = [];

    /** @var string|null the parameter for the usual plane, where it is not called as elsewhere */
    protected const PLANE_MATERIAL = null;

    /** @var array<string, array{string, string}> the planes that it cannot be made in: why, and what can be */
    protected const REFUSED = [];

    /** @var array<string, Asked> by plane */
    private array $asked = [];

    private readonly Node $data;

    /** @var array<string, float> */
    private readonly array $least;

    /**
     * @param  string|null  $name  where one class makes several
     * @param  array<string, array{float, float}>|null  $extents
     */
    public function __construct(private readonly ?string $name = null, private readonly ?array $extents = null)
    {
        $this->data = CoreData::read('figures/junctions');
        $this->least = array_map(fn (Node $row): float => $row->number(), $this->data->get('least')->entries());
    }

    public function name(): string
    {
        return $this->name ?? static::NAME;
    }

    public function parameters(array $given = []): array
    {
        return $this->asked($given)->parameters();
    }

    public function inInches(array $given = []): array
    {
        return $this->asked($given)->inInches($given);
    }

    public function make(string $id, string $title, array $parameters, Materials $materials): Detail
    {
        $asked = $this->asked($parameters);
        $asked->demandKnown($parameters);
        $sizes = $asked->sizes($parameters);
        $this->demandRoom($sizes);
        $detail = $this->draw(
            $id,
            $title,
            $sizes,
            $this->used($asked->materials($parameters, $materials), static::plane($parameters)),
            $asked->choices($parameters),
            new Generated($this->name(), $parameters),
        );
        Buildable::demand($detail);

        return $detail;
    }

    public function inPlane(array $given): ?string
    {
        return static::plane($given)?->value;
    }

    /** The junction that can be made in a plane which this one cannot. */
    public function instead(string $plane): string
    {
        return static::REFUSED[$plane][1] ?? $this->name();
    }

    /**
     * The parameter for what the plane is made of; null where it has none.
     *
     * @param  array<string, float|string>  $given
     */
    public function planePlace(array $given): ?string
    {
        $plane = static::plane($given);

        return $plane === null || $plane !== static::PLANES[0] ? $plane?->place() : $this->usualPlace();
    }

    public function namesPlane(): bool
    {
        return static::PLANES === [];
    }

    /**
     * The plane of the wall that it is made in; null where it has none.
     *
     * @param  array<string, mixed>  $given
     *
     * @throws CannotGenerate where it cannot be made in that one
     */
    public static function plane(array $given): ?WallPlane
    {
        $usual = static::PLANES[0] ?? null;
        $said = $usual === null ? null : ($given['plane'] ?? null);
        if ($said === null) {
            return $usual;
        }
        foreach (static::PLANES as $plane) {
            if ($plane->value === $said) {
                return $plane;
            }
        }
        $said = is_string($said) ? $said : gettype($said);
        [$why, $instead] = static::REFUSED[$said] ?? [null, null];
        $of = implode(', ', array_map(fn (WallPlane $plane): string => $plane->value, static::PLANES));
        throw new CannotGenerate('plane', $said, $why === null ? "one of $of" : "$instead, for $why");
    }

    /**
     * What it asks in a plane. A figure or a material may be another one there: sheets lap by more than membranes do.
     *
     * @param  array<string, mixed>  $given
     */
    private function asked(array $given): Asked
    {
        $plane = static::plane($given);

        return $this->asked[$plane->value ?? ''] ??= new Asked(
            $this->extents ?? static::EXTENTS,
            Asked::figures(
                array_filter([
                    $this->data->get('figures'),
                    $this->data->get('methods')->get($this->name()),
                    $this->data->get('planes')->optional($plane->value ?? '')?->optional($this->name()),
                ]),
            ),
            ($plane === null
                ? []
                : ['plane' => self::first($plane, array_map(fn (WallPlane $p): string => $p->value, static::PLANES))])
                + $this->choicesIn($plane),
            $this->materialsIn($plane),
        );
    }

    /**
     * @param  list<string>  $of
     * @return list<string>
     */
    private static function first(WallPlane $plane, array $of): array
    {
        return [$plane->value, ...array_values(array_diff($of, [$plane->value]))];
    }

    /** @return array<string, list<string>> the choices that it leaves in a plane */
    protected function choicesIn(?WallPlane $plane): array
    {
        return static::CHOICES;
    }

    /** @return array<string, string> its materials in a plane; one that the plane takes the name of has another */
    protected function materialsIn(?WallPlane $plane): array
    {
        if ($plane === null) {
            return static::MATERIALS;
        }
        $own = static::PLANE_MATERIAL ?? $plane->place();
        if ($plane === static::PLANES[0]) {
            return static::MATERIALS + [$own => $plane->usual()];
        }
        $materials = [];
        foreach (array_diff_key(static::MATERIALS, [$this->usualPlace() => '']) as $name => $usual) {
            $materials[$name === $plane->place() ? $plane->besides() : $name] = $usual;
        }

        return $materials + [$plane->place() => $plane->usual()];
    }

    private function used(Used $used, ?WallPlane $plane): Used
    {
        if ($plane === null) {
            return $used;
        }

        return $plane === static::PLANES[0]
            ? $used->inPlane($this->usualPlace(), $this->usualPlace())
            : $used->inPlane($plane->place(), $plane->besides());
    }

    /** The parameter for the plane that it is made in where nobody says another. */
    private function usualPlace(): string
    {
        return static::PLANE_MATERIAL ?? static::PLANES[0]->place();
    }

    /**
     * @return array<string, array{float, float, float, float}> by name: u from, v from, u to, v to
     */
    abstract protected function facets(Sizes $s, Choices $chosen): array;

    /**
     * @return list<array{string, array<string, float|int|string>}> what each step does, with the figures of its words
     */
    abstract protected function does(Sizes $s, Choices $chosen): array;

    /**
     * @return list<Piece>
     */
    abstract protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array;

    /**
     * @return list<Fold>
     */
    protected function folds(Sizes $s, Choices $chosen): array
    {
        return [];
    }

    /**
     * @return list<Penetration>
     */
    protected function penetrations(Sizes $s, Choices $chosen): array
    {
        return [];
    }

    /**
     * @return list<PlacedFastener>
     */
    protected function fasteners(Sizes $s, Choices $chosen): array
    {
        return [];
    }

    /**
     * What stands behind a facet, where a method's joints must lie on it.
     *
     * @return list<FramingMember>
     */
    protected function framing(Sizes $s): array
    {
        return [];
    }

    /**
     * Volumes of air between the layers.
     *
     * @return list<Gap>
     */
    protected function gaps(Sizes $s, Choices $chosen): array
    {
        return [];
    }

    /**
     * Pieces of a method that lap by less than their kinds do elsewhere.
     *
     * @return array<string, array<string, string>> the figure of the least, by outer piece and what lies under it
     */
    protected function ownLaps(Choices $chosen): array
    {
        return [];
    }

    /**
     * @return list<LeastLap>
     */
    private function ownLeast(Choices $chosen): array
    {
        $laps = [];
        foreach ($this->ownLaps($chosen) as $outer => $inners) {
            foreach ($inners as $inner => $figure) {
                $laps[] = new LeastLap($outer, $inner, $this->least[$figure], $this->least[$figure]);
            }
        }

        return $laps;
    }

    /**
     * Where sizes leave no room for the method.
     *
     * @throws CannotGenerate
     */
    protected function demandRoom(Sizes $s): void
    {
    }

    /**
     * Where boards are the plane: what is bonded or coated onto them.
     *
     * @param  array<string, float>  $least
     * @return list<LeastLap>
     */
    private static function onBoards(array $least): array
    {
        return array_map(
            fn (string $kind): LeastLap => new LeastLap($kind, 'board', $least['membrane_mm'], $least['membrane_mm']),
            ['membrane', 'formable', 'fluid'],
        );
    }

    private function draw(
        string $id,
        string $title,
        Sizes $s,
        Used $used,
        Choices $chosen,
        Generated $generated,
    ): Detail {
        $facets = [];
        foreach ($this->facets($s, $chosen) as $name => $extent) {
            $facets[$name] = new Facet($name, new Rect(...$extent));
        }
        [$least, $does] = [$this->least, $this->does($s, $chosen)];
        // Over the metal at the edge of a thin board a lap can be no wider than the metal lets it.
        $overMetal = $s->has('metal')
            ? min($least['metal_mm'], $least['metal_share'] * $s->mm('metal'))
            : $least['metal_mm'];

        return new Detail(
            id: $id,
            title: $title,
            opening: null,
            facets: $facets,
            folds: $this->folds($s, $chosen),
            release: static::RELEASE,
            tolerant: [],
            unit: null,
            pieces: $this->pieces($s, $used, StepNumbers::inOrder(array_column($does, 0)), $chosen),
            penetrations: $this->penetrations($s, $chosen),
            fasteners: $this->fasteners($s, $chosen),
            framing: $this->framing($s),
            leastLaps: [
                ...$this->ownLeast($chosen),
                ...$chosen->stands() ? self::onBoards($least) : [],
                ...Lay::lapping(['membrane', 'formable', 'corner', 'moulded'], $least['membrane_mm']),
                ...Lay::lapping(['fluid'], $least['fluid_mm']),
                new LeastLap('sheet', 'sheet', $least['sheet_level_mm'], $least['sheet_upright_mm']),
                new LeastLap('sheet', 'membrane', $least['membrane_mm'], $least['membrane_mm']),
                new LeastLap('membrane', 'sheet', $least['membrane_mm'], $least['membrane_mm']),
                new LeastLap('membrane', 'metal', $overMetal, $overMetal),
                new LeastLap('metal', 'membrane', $overMetal, $overMetal),
                new LeastLap('sheet', 'metal', $least['membrane_mm'], $least['membrane_mm']),
                new LeastLap('tape', 'board', $least['tape_mm'], $least['tape_mm']),
                new LeastLap('tape', 'tape', $least['tape_mm'], $least['tape_mm']),
                new LeastLap('fluid', 'membrane', $least['fluid_mm'], $least['fluid_mm']),
                new LeastLap('membrane', 'fluid', $least['membrane_mm'], $least['membrane_mm']),
            ],
            panUpturn: null,
            steps: Lay::numbered($does),
            generated: $generated,
            gaps: $this->gaps($s, $chosen),
        );
    }
}
