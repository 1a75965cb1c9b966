<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Drafting\Uses;
use Apron\Method\Wall;
use Apron\Rules\RuleFigures;

/**
 * What is measured and looked at on the field of a wall, between its openings and joints: its plane by what that is,
 * the sheathing behind it, the boards outside of it, the film inside. Each check is of one layer, and stands at the
 * number of that layer, from inside.
 */
final class FieldChecks
{
    /** @var list<Check> */
    private array $checks = [];

    /** @param  array<string, string>  $schools */
    private function __construct(private readonly Assembly $assembly, private readonly array $schools)
    {
    }

    /**
     * @param  array<string, string>  $schools  of the project: question => choice
     * @return list<Check> from inside to outside
     */
    public static function of(Assembly $assembly, array $schools = []): array
    {
        // What a wall is only compared with is not built.
        if ($assembly->variantOf !== null) {
            return [];
        }
        $self = new self($assembly, $schools);
        $wall = Wall::of($assembly);
        $framed = false;
        $outside = false;
        foreach ($assembly->layers as $at => $layer) {
            $isPlane = $layer->id === $wall->planeLayer && $wall->plane !== null;
            if ($isPlane) {
                $self->plane($layer, $at + 1, $wall->plane);
            } elseif ($framed && ! $outside && self::isOf('sheathing', $layer)) {
                $self->sheathing($layer, $at + 1);
            } elseif (($framed || $outside) && $layer->framing === null && self::isOf('foam', $layer)) {
                $self->boards($layer, $at + 1);
            } elseif (! $framed && ! $outside && self::isInnerFilm($layer)) {
                $self->innerFilm($layer, $at + 1);
            }
            $framed = $framed || $layer->framing !== null;
            $outside = $outside || $isPlane;
        }

        return $self->checks;
    }

    private static function isOf(string $use, Layer $layer): bool
    {
        return in_array($layer->material->family?->id, Uses::familiesOf($use), true);
    }

    private static function isInnerFilm(Layer $layer): bool
    {
        $holds = array_intersect(
            array_column($layer->controls, 'value'),
            [Control::Air->value, Control::Vapour->value],
        );

        return $holds !== [] && self::isOf('film', $layer);
    }

    private function plane(Layer $layer, int $at, string $plane): void
    {
        match ($plane) {
            'fastened-sheet' => $this->sheet($layer, $at),
            'self-adhered' => $this->membrane($layer, $at),
            'fluid' => $this->coat($layer, $at),
            'taped-insulation' => $this->tapedBoards($layer, $at, Bounds::atMost(self::figure('board_gap_mm'))),
            default => $this->tapedBoards($layer, $at, self::panelGap()),
        };
    }

    private function sheet(Layer $layer, int $at): void
    {
        // Of those who lap 150 both ways, the level lap is the upright one.
        $level = ($this->schools['sheet-laps'] ?? '') === '150-150' ? 'sheet_lap_upright_mm' : 'sheet_lap_level_mm';
        $this->measure($layer, $at, 'field-lap-level', Bounds::atLeast(self::figure($level)));
        $this->measure($layer, $at, 'field-lap-upright', Bounds::atLeast(self::figure('sheet_lap_upright_mm')));
        $this->look($layer, $at, 'field-lap-backed');
        $this->measure($layer, $at, 'field-fasteners', Bounds::atMost(self::figure('sheet_fasteners_mm')));
        $this->look($layer, $at, 'field-sheet-whole');
    }

    private function membrane(Layer $layer, int $at): void
    {
        $this->look($layer, $at, 'field-substrate');
        $this->measure($layer, $at, 'field-lap-membrane', Bounds::atLeast(self::figure('membrane_lap_mm')));
        $this->look($layer, $at, 'field-rolled');
    }

    private function coat(Layer $layer, int $at): void
    {
        $this->look($layer, $at, 'field-substrate');
        $film = Bounds::atLeast(RuleFigures::of('coats')->figure('wet_coat_mm'));
        $this->checks[] = $this->check($layer, $at, 'field-film', $film, film: true);
        $this->look($layer, $at, 'field-coat-whole');
    }

    private function tapedBoards(Layer $layer, int $at, Bounds $gap): void
    {
        $this->measure($layer, $at, 'field-board-gap', $gap);
        $this->measure($layer, $at, 'field-tape-side', Bounds::atLeast(self::figure('tape_side_mm')));
        $this->look($layer, $at, 'field-under-tape');
        $this->look($layer, $at, 'field-heads');
    }

    private function sheathing(Layer $layer, int $at): void
    {
        $this->measure($layer, $at, 'field-panel-gap', self::panelGap());
        $this->measure($layer, $at, 'field-panel-edge', Bounds::atMost(self::figure('panel_edge_mm')));
        $this->measure($layer, $at, 'field-panel-middle', Bounds::atMost(self::figure('panel_field_mm')));
        $this->look($layer, $at, 'field-heads');
    }

    private function boards(Layer $layer, int $at): void
    {
        $this->measure($layer, $at, 'field-board-gap', Bounds::atMost(self::figure('board_gap_mm')));
        $this->look($layer, $at, 'field-boards-staggered');
    }

    private function innerFilm(Layer $layer, int $at): void
    {
        $this->measure($layer, $at, 'field-inner-lap', Bounds::atLeast(self::figure('inner_lap_mm')));
        $this->look($layer, $at, 'field-inner-whole');
    }

    private static function panelGap(): Bounds
    {
        return Bounds::of(
            self::figure('panel_gap_least_mm'),
            self::figure('panel_gap_most_mm'),
            ReadingUnit::Millimetre,
        );
    }

    private static function figure(string $name): float
    {
        return RuleFigures::of('fields')->figure($name);
    }

    private function measure(Layer $layer, int $at, string $what, Bounds $bounds): void
    {
        $this->checks[] = $this->check($layer, $at, $what, $bounds);
    }

    private function look(Layer $layer, int $at, string $what): void
    {
        $this->checks[] = $this->check($layer, $at, $what, null);
    }

    private function check(Layer $layer, int $at, string $what, ?Bounds $bounds, bool $film = false): Check
    {
        return new Check(
            "{$this->assembly->id}.$what.$layer->id",
            $this->assembly->id,
            $what,
            $layer->id,
            $at,
            null,
            $bounds,
            null,
            ['of' => $layer->material->name],
            $film,
            CheckOf::Assembly,
        );
    }
}
