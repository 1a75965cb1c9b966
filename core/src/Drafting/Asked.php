<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Json\Node;
use Apron\Material\Materials;

/**
 * What a method asks: sizes that must be given, figures of the trade that may be, choices between ways of working, and
 * materials. The figures come from `core/data/figures`, each with its situation; what is given is held to their range.
 *
 * @phpstan-type Figure array{value: float, situation: string, least: float|null, most: float|null,
 *   inches: float|null, follows: array{of: string, share: float}|null}
 * @phpstan-type Parameter array{name: string, kind: string, value: float|string|null, least: float|null,
 *   most: float|null, situation: string|null, of: list<string>}
 */
final readonly class Asked
{
    private const INCH_MM = 25.4;

    /**
     * @param  array<string, array{float, float}>  $extents  sizes that must be given, mm: least and most
     * @param  array<string, Figure>  $figures  by name; one that follows another is no more than its share of that:
     *   metal at the outer edge of a board, of the board
     * @param  array<string, list<string>>  $choices  choice => what may be chosen, the usual first
     * @param  array<string, string>  $materials  material parameter => the id it starts at
     */
    public function __construct(
        private array $extents,
        private array $figures,
        private array $choices,
        private array $materials,
    ) {
    }

    /**
     * Figures by name, a later table winning; one that a later table says is not asked is left out.
     *
     * @param  list<Node>  $tables  objects of figures
     * @return array<string, Figure>
     */
    public static function figures(array $tables): array
    {
        $figures = [];
        foreach ($tables as $table) {
            foreach ($table->entries() as $name => $row) {
                if ($row->optional('asked')?->boolean() === false) {
                    unset($figures[$name]);

                    continue;
                }
                $follows = $row->optional('follows');
                $figures[$name] = [
                    'value' => $row->get('value')->number(),
                    'situation' => $row->get('situation')->text(),
                    'least' => $row->optional('least')?->number(),
                    'most' => $row->optional('most')?->number(),
                    'inches' => $row->optional('inches')?->number(),
                    'follows' => $follows === null
                            ? null
                            : ['of' => $follows->get('of')->id(), 'share' => $follows->get('share')->number()],
                ];
            }
        }

        return $figures;
    }

    /** @return list<Parameter> */
    public function parameters(): array
    {
        $rows = [];
        foreach ($this->extents as $name => [$least, $most]) {
            $rows[] = self::parameter($name, 'size', null, $least, $most);
        }
        foreach ($this->figures as $name => $figure) {
            $rows[] = self::parameter(
                $name,
                'figure',
                $figure['value'],
                $figure['least'],
                $figure['most'],
                $figure['situation'],
            );
        }
        foreach ($this->choices as $name => $of) {
            $rows[] = self::parameter($name, 'choice', $of[0], null, null, null, $of);
        }
        foreach ($this->materials as $name => $usual) {
            $rows[] = self::parameter($name, 'material', $usual, null, null, null, Uses::families($name));
        }

        return $rows;
    }

    /**
     * @param  list<string>  $of
     * @return Parameter
     */
    private static function parameter(
        string $name,
        string $kind,
        float|string|null $value,
        ?float $least,
        ?float $most,
        ?string $situation = null,
        array $of = [],
    ): array {
        return [
            'name' => $name,
            'kind' => $kind,
            'value' => $value,
            'least' => $least,
            'most' => $most,
            'situation' => $situation,
            'of' => $of,
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws CannotGenerate where something is given that the method does not ask
     */
    public function demandKnown(array $given): void
    {
        $known = [...array_keys($this->extents), ...array_keys($this->figures)];
        array_push($known, ...array_keys($this->choices), ...array_keys($this->materials));
        foreach ($given as $name => $value) {
            if (! in_array($name, $known, true)) {
                throw new CannotGenerate(
                    $name,
                    is_scalar($value) ? (string) $value : gettype($value),
                    'one of '.implode(', ', $known),
                );
            }
        }
    }

    /**
     * @param  array<string, float|string>  $given
     *
     * @throws CannotGenerate
     */
    public function sizes(array $given): Sizes
    {
        $sizes = [];
        foreach ($this->extents as $name => [$least, $most]) {
            $sizes[$name] = self::within(
                $name,
                $given[$name] ?? throw new CannotGenerate($name, 'nothing', "a size from $least to $most mm"),
                $least,
                $most,
            );
        }
        foreach ($this->figures as $name => $figure) {
            $value = $given[$name] ?? self::usual($figure, $sizes);
            if ($figure['least'] === null && is_float($value) && $value <= 0) {
                throw new CannotGenerate($name, $value, "a length above 0 mm: {$figure['situation']}");
            }
            $sizes[$name] = self::within($name, $value, $figure['least'], $figure['most']);
        }

        return new Sizes($sizes);
    }

    /**
     * What a figure is where nobody says it.
     *
     * @param  Figure  $figure
     * @param  array<string, float>  $sizes  that are settled before it
     */
    private static function usual(array $figure, array $sizes): float
    {
        $follows = $figure['follows'];

        return $follows === null || ! isset($sizes[$follows['of']])
            ? $figure['value']
            : min($figure['value'], $follows['share'] * $sizes[$follows['of']]);
    }

    /**
     * @param  array<string, mixed>  $given  what is stated: one that follows another comes out of that, at the eighth
     *   of an inch below
     * @return array<string, float> mm by name, of the figures that a crew measures in inches
     */
    public function inInches(array $given = []): array
    {
        $sizes = [];
        foreach ($this->figures as $name => $figure) {
            if ($figure['inches'] === null) {
                continue;
            }
            $of = $figure['follows'] === null ? null : $given[$figure['follows']['of']] ?? null;
            $of ??= $figure['follows'] === null ? null : $sizes[$figure['follows']['of']] ?? null;
            $share = $figure['follows']['share'] ?? 0.0;
            $most = is_float($of) ? floor(($share * $of * 8) / self::INCH_MM + 1e-6) / 8 : INF;
            $sizes[$name] = min($figure['inches'], $most) * self::INCH_MM;
        }

        return $sizes;
    }

    private static function within(string $name, float|string $value, ?float $least, ?float $most): float
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
     * @param  array<string, float|string>  $given
     *
     * @throws CannotGenerate
     */
    public function choices(array $given): Choices
    {
        $chosen = [];
        foreach ($this->choices as $name => $of) {
            $chosen[$name] = (string) ($given[$name] ?? $of[0]);
            if (! in_array($chosen[$name], $of, true)) {
                throw new CannotGenerate($name, $chosen[$name], 'one of '.implode(', ', $of));
            }
        }

        return new Choices($chosen);
    }

    /**
     * @param  array<string, float|string>  $given
     *
     * @throws CannotGenerate
     */
    public function materials(array $given, Materials $materials): Used
    {
        $used = [];
        foreach ($this->materials as $name => $usual) {
            $id = $given[$name] ?? $usual;
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
}
