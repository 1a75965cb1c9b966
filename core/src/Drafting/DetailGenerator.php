<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Detail\CannotLay;
use Apron\Detail\CutSize;
use Apron\Detail\Detail;
use Apron\Detail\Edges;
use Apron\Detail\Generated;
use Apron\Detail\Layout;
use Apron\Detail\LeastLap;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Detail\Step;
use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Material\Materials;

/**
 * What every generator has: a name, sizes that must be given, figures of the trade that may be, materials, and choices
 * between schools. The figures come from `core/data/figures`, each with its situation; what is given is held to their
 * range.
 */
abstract class DetailGenerator implements Generator
{
    /** @var string what the project file calls the method; each says its own */
    public const NAME = '';

    private const INCH_MM = 25.4;

    /** @var array<string, string> material parameter => the id it starts at */
    protected const MATERIALS = [];

    /** @var array<string, list<string>> choice => what may be chosen, the usual first */
    protected const CHOICES = [];

    /** @var array<string, array{float, float}> sizes that must be given, mm: least and most */
    protected const EXTENTS = [];

    /**
     * @var array<string, array{value: float, situation: string, least: float|null, most: float|null,
     *   inches: float|null, follows: array{of: string, share: float}|null}> by name; one that follows another is no
     *   more than its share of that: metal at the outer edge of a board, of the board
     */
    protected readonly array $figures;

    /** @param  list<Node>  $tables  objects of figures, a later one winning */
    protected function __construct(array $tables)
    {
        $figures = [];
        foreach ($tables as $table) {
            foreach ($table->entries() as $name => $row) {
                $figures[$name] = [
                    'value' => $row->get('value')->number(),
                    'situation' => $row->get('situation')->text(),
                    'least' => $row->optional('least')?->number(),
                    'most' => $row->optional('most')?->number(),
                    'inches' => $row->optional('inches')?->number(),
                    'follows' => self::follows($row->optional('follows')),
                ];
            }
        }
        $this->figures = $figures;
    }

    /** @return array{of: string, share: float}|null */
    private static function follows(?Node $node): ?array
    {
        return $node === null ? null : ['of' => $node->get('of')->id(), 'share' => $node->get('share')->number()];
    }

    public function name(): string
    {
        return static::NAME;
    }

    /** The detail without what every detail has: made by the classes below from checked sizes. */
    abstract protected function draw(
        string $id,
        string $title,
        Sizes $s,
        Used $used,
        Choices $chosen,
        Generated $generated,
    ): Detail;

    /**
     * Where sizes leave no room for the method.
     *
     *
     * @throws CannotGenerate
     */
    abstract protected function demandRoom(Sizes $s): void;

    public function make(string $id, string $title, array $parameters, Materials $materials): Detail
    {
        $known = array_column($this->parameters(), 'name');
        foreach ($parameters as $name => $value) {
            if (! in_array($name, $known, true)) {
                throw new CannotGenerate($name, $value, 'one of '.implode(', ', $known));
            }
        }
        $sizes = $this->sizes($parameters);
        $this->demandRoom($sizes);

        $detail = $this->draw(
            $id,
            $title,
            $sizes,
            $this->materials($parameters, $materials),
            $this->choices($parameters),
            new Generated($this->name(), $parameters),
        );
        self::demandBuildable($detail);

        return $detail;
    }

    /**
     * Sizes that pass each for itself may together push a piece off the wall that is drawn, leave nothing of it, or ask
     * for a weave.
     */
    private static function demandBuildable(Detail $detail): void
    {
        foreach ($detail->pieces as $piece) {
            foreach ($piece->patches as $patch) {
                [$rect, $extent] = [$patch->rect, $detail->facets[$patch->facet]->extent];
                if ($rect->width() <= 0 || $rect->height() <= 0 || ! $extent->contains($rect)) {
                    throw new CannotGenerate(
                        'parameters',
                        "{$patch->id} at ".json_encode($rect->toArray(), JSON_THROW_ON_ERROR),
                        sprintf(
                            'sizes that keep every piece on “%s”, u %g to %g and v %g to %g',
                            $patch->facet,
                            $extent->u0,
                            $extent->u1,
                            $extent->v0,
                            $extent->v1,
                        ),
                    );
                }
            }
        }
        try {
            new Layout($detail);
        } catch (CannotLay $wrong) {
            throw new CannotGenerate('parameters', "$wrong->patch $wrong->found", $wrong->expected);
        }
    }

    public function parameters(): array
    {
        $rows = [];
        foreach (static::EXTENTS as $name => [$least, $most]) {
            $rows[] = [
                'name' => $name,
                'kind' => 'size',
                'value' => null,
                'least' => $least,
                'most' => $most,
                'situation' => null,
                'of' => [],
            ];
        }
        foreach ($this->figures as $name => $figure) {
            $rows[] = [
                'name' => $name,
                'kind' => 'figure',
                'value' => $figure['value'],
                'least' => $figure['least'],
                'most' => $figure['most'],
                'situation' => $figure['situation'],
                'of' => [],
            ];
        }
        foreach (static::CHOICES as $name => $of) {
            $rows[] = [
                'name' => $name,
                'kind' => 'choice',
                'value' => $of[0],
                'least' => null,
                'most' => null,
                'situation' => null,
                'of' => $of,
            ];
        }
        foreach (static::MATERIALS as $name => $usual) {
            $rows[] = [
                'name' => $name,
                'kind' => 'material',
                'value' => $usual,
                'least' => null,
                'most' => null,
                'situation' => null,
                'of' => Uses::families($name),
            ];
        }

        return $rows;
    }

    /**
     * @param  array<string, float|string>  $parameters
     */
    private function sizes(array $parameters): Sizes
    {
        $sizes = [];
        foreach (static::EXTENTS as $name => [$least, $most]) {
            $sizes[$name] = $this->within(
                $name,
                $parameters[$name] ?? throw new CannotGenerate($name, 'nothing', "a size from $least to $most mm"),
                $least,
                $most,
            );
        }
        foreach ($this->figures as $name => $figure) {
            $value = $parameters[$name] ?? $this->usual($figure, $sizes);
            if ($figure['least'] === null && is_float($value) && $value <= 0) {
                throw new CannotGenerate($name, $value, "a length above 0 mm: {$figure['situation']}");
            }
            $sizes[$name] = $this->within($name, $value, $figure['least'], $figure['most']);
        }

        return new Sizes($sizes);
    }

    /**
     * What a figure is where nobody says it.
     *
     * @param  array{value: float, follows: array{of: string, share: float}|null}  $figure
     * @param  array<string, float>  $sizes  that are settled before it
     */
    private function usual(array $figure, array $sizes): float
    {
        $follows = $figure['follows'];

        return $follows === null || ! isset($sizes[$follows['of']])
            ? $figure['value']
            : min($figure['value'], $follows['share'] * $sizes[$follows['of']]);
    }

    public function inInches(): array
    {
        $sizes = [];
        foreach ($this->figures as $name => $figure) {
            // One that follows another comes out of that.
            if ($figure['inches'] !== null && $figure['follows'] === null) {
                $sizes[$name] = $figure['inches'] * self::INCH_MM;
            }
        }

        return $sizes;
    }

    /** What one size may not pass because of another. */
    protected function demandBelow(Sizes $s, string $name, float $most, string $why): void
    {
        if ($s->figure($name) >= $most) {
            throw new CannotGenerate($name, $s->figure($name), sprintf('less than %g mm, %s', $most, $why));
        }
    }

    private function within(string $name, float|string $value, ?float $least, ?float $most): float
    {
        $unit = str_ends_with($name, '_mm') ? ' mm' : '';
        if (is_string($value)) {
            throw new CannotGenerate($name, $value, "a number of$unit");
        }
        if (($least !== null && $value < $least) || ($most !== null && $value > $most)) {
            throw new CannotGenerate(
                $name,
                $value,
                $most === null
                    ? sprintf('%g%s or more', $least, $unit)
                    : sprintf('%g to %g%s', $least, $most, $unit),
            );
        }

        return $value;
    }

    /**
     * @param  array<string, float|string>  $parameters
     */
    private function choices(array $parameters): Choices
    {
        $chosen = [];
        foreach (static::CHOICES as $name => $of) {
            $chosen[$name] = (string) ($parameters[$name] ?? $of[0]);
            if (! in_array($chosen[$name], $of, true)) {
                throw new CannotGenerate($name, $chosen[$name], 'one of '.implode(', ', $of));
            }
        }

        return new Choices($chosen);
    }

    /**
     * @param  array<string, float|string>  $parameters
     */
    private function materials(array $parameters, Materials $materials): Used
    {
        $used = [];
        foreach (static::MATERIALS as $name => $usual) {
            $id = $parameters[$name] ?? $usual;
            $material =
                $materials->find((string) $id) ??
                throw new CannotGenerate($name, $id, 'the id of a material of the project or the catalogue');
            if (! Uses::takes($name, $material)) {
                throw new CannotGenerate(
                    $name,
                    "“{$material->name}”",
                    'a material of one of the families '.implode(', ', Uses::families($name)),
                );
            }
            $used[$name] = $material;
        }

        return new Used($used);
    }

    /**
     * @param  array{float|int, float|int, float|int, float|int}  $rect
     * @param  list<string>  $joined
     */
    protected function patch(
        string $id,
        string $facet,
        array $rect,
        array $joined,
        int $step,
        ?Edges $edges = null,
        bool $drain = false,
    ): Patch {
        return new Patch(
            $id,
            $facet,
            new Rect(...array_map(floatval(...), $rect)),
            $joined,
            $step,
            null,
            $edges ?? new Edges,
            $drain,
        );
    }

    /**
     * A piece of the water plane, or one that joins it, which holds air too.
     *
     * @param  list<Patch>  $patches
     */
    protected function laid(
        string $id,
        Material $material,
        PieceKind $kind,
        int $step,
        array $patches,
        ?PieceRole $role = null,
        ?CutSize $cut = null,
        ?Edges $edges = null,
        bool $air = true,
    ): Piece {
        return new Piece(
            $id,
            $material,
            $kind,
            $role,
            $air,
            $air && $role === PieceRole::Plane,
            $step,
            null,
            $edges ?? new Edges,
            $patches,
            $cut,
        );
    }

    /**
     * A piece of one patch on the face.
     *
     * @param  array{float|int, float|int, float|int, float|int}  $rect
     */
    protected function onFace(
        string $id,
        Material $material,
        PieceKind $kind,
        int $step,
        array $rect,
        ?PieceRole $role = null,
        ?CutSize $cut = null,
    ): Piece {
        return $this->laid(
            $id,
            $material,
            $kind,
            $step,
            [$this->patch("$id.face", 'face', $rect, [], $step)],
            $role,
            $cut,
        );
    }

    /**
     * A list of steps numbered from one.
     *
     * @param  list<array{string, array<string, float|int|string>}>  $does
     * @return list<Step>
     */
    protected function numbered(array $does): array
    {
        return array_map(fn (int $i): Step => new Step($i + 1, $does[$i][0], $does[$i][1]), array_keys($does));
    }

    /**
     * The same least lap wherever two of these kinds lie over each other.
     *
     * @param  list<string>  $kinds
     * @return list<LeastLap>
     */
    protected function lapping(array $kinds, float $least): array
    {
        $laps = [];
        foreach ($kinds as $outer) {
            foreach ($kinds as $inner) {
                $laps[] = new LeastLap($outer, $inner, $least, $least);
            }
        }

        return $laps;
    }
}
