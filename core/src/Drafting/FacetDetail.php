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

    private readonly Asked $asked;

    /** @var array<string, float> */
    private readonly array $least;

    /**
     * @param  string|null  $name  where one class makes several
     * @param  array<string, array{float, float}>|null  $extents
     */
    public function __construct(private readonly ?string $name = null, ?array $extents = null)
    {
        $data = CoreData::read('figures/junctions');
        $this->asked = new Asked(
            $extents ?? static::EXTENTS,
            Asked::figures([$data->get('figures'), $data->get('methods')->get($this->name())]),
            static::CHOICES,
            static::MATERIALS,
        );
        $this->least = array_map(fn (Node $row): float => $row->number(), $data->get('least')->entries());
    }

    public function name(): string
    {
        return $this->name ?? static::NAME;
    }

    public function parameters(array $given = []): array
    {
        return $this->asked->parameters();
    }

    public function inInches(array $given = []): array
    {
        return $this->asked->inInches();
    }

    public function make(string $id, string $title, array $parameters, Materials $materials): Detail
    {
        $this->asked->demandKnown($parameters);
        $sizes = $this->asked->sizes($parameters);
        $this->demandRoom($sizes);
        $detail = $this->draw(
            $id,
            $title,
            $sizes,
            $this->asked->materials($parameters, $materials),
            $this->asked->choices($parameters),
            new Generated($this->name(), $parameters),
        );
        Buildable::demand($detail);

        return $detail;
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
     * Where sizes leave no room for the method.
     *
     * @throws CannotGenerate
     */
    protected function demandRoom(Sizes $s): void
    {
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
