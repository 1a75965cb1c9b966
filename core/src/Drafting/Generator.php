<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Detail\Detail;
use Apron\Material\Materials;
use Apron\Trace\Outcome;

/** Makes a whole detail from a few sizes: one small class for each way of dressing an opening or a joint. */
interface Generator
{
    /** What the file and the words know it by. */
    public function name(): string;

    /**
     * What it takes: sizes that must be given, figures of the trade that may be, choices between ways, materials.
     *
     * @param  array<string, float|string>  $given  one choice may open others, and bring figures and materials
     * @return list<array{name: string, kind: string, value: float|string|null, least: float|null, most: float|null,
     *   situation: string|null, of: list<string>}>
     *
     * @throws CannotGenerate where choices do not go together
     */
    public function parameters(array $given = []): array;

    /**
     * @param  array<string, float|string>  $parameters  lengths in mm; those left out take the figures of the trade
     *
     * @throws CannotGenerate where the sizes leave no room for the method
     */
    public function make(string $id, string $title, array $parameters, Materials $materials): Detail;

    /**
     * The water plane of the wall that it is made in; null where it has none.
     *
     * @param  array<string, float|string>  $given
     *
     * @throws CannotGenerate where it cannot be made in that one
     */
    public function inPlane(array $given): ?string;

    /** Whether it is made in one plane only, which its name says, or in none: a wall does not change that. */
    public function namesPlane(): bool;

    /**
     * Its usual figures where a crew measures in inches: 3 in, and not the 75 mm that stand for it elsewhere.
     *
     * @param  array<string, float|string>  $given
     * @return array<string, float> mm by name, of those that have such a figure
     */
    public function inInches(array $given = []): array;

    /**
     * The worst that its school permits: what the rain trace of its own output must not exceed, and what it honestly
     * is.
     *
     * @param  array<string, float|string>  $parameters  a choice may be between a lap and a bond
     */
    public function worst(array $parameters = []): Outcome;
}
