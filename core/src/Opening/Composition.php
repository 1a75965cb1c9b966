<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Opening\Field\WaterPlane;
use Apron\Opening\Holding\Held;

/**
 * What an opening is composed of: one answer along each axis that is asked, and the parts that these answers bring.
 */
final readonly class Composition
{
    public Part&WaterPlane $plane;

    public Part&Held $held;

    /** @var list<Part> in the order in which their pieces are listed */
    public array $parts;

    /** @param  array<string, string>  $answers  by axis, of those that are asked */
    public function __construct(public array $answers)
    {
        $this->plane = match (true) {
            $this->has('solid_sheet', 'omitted') => new Field\BareSolid,
            $this->has('first', 'opening') => new Field\FieldLast($answers['plane']),
            default => match ($answers['plane']) {
                'fastened-sheet' => new Field\FastenedSheet,
                'self-adhered' => new Field\SelfAdhered,
                'fluid' => new Field\FluidField,
                'faced-sheathing' => new Field\TapedBoards(true),
                'taped-insulation' => new Field\TapedBoards(false),
                'flapped-panels' => new Field\FlappedPanels,
                default => throw new \LogicException("no plane is called {$answers['plane']}"),
            },
        };
        $this->held = $this->has('held_by', 'flange') ? new Holding\Flange : new Holding\InReturn;
        $buck = match ($answers['buck_place'] ?? null) {
            'face' => [new Around\BuckOnFace],
            'return' => [new Around\BuckInReturn],
            default => [],
        };
        $this->parts = [
            $this->plane,
            ...$buck,
            new (Dressing\Dressings::ALL[$answers['dressing']])(),
            $this->held,
            ...$this->has('head_cap', 'rigid') ? [new Around\RigidCap] : [],
            ...$this->has('second_layer', 'hung') ? [new Around\SecondLayer] : [],
            ...$this->has('outboard', 'board') ? [new Around\BoardOutside] : [],
            ...$this->has('outboard', 'board-at-buck') ? [new Around\BoardBesideBuck] : [],
            ...$this->has('reveal', 'extension-jambs') ? [new Around\ExtensionJambs] : [],
            ...isset($answers['trim']) ? [new Around\Trim] : [],
            ...$this->has('screens', 'head-and-sill') ? [new Around\Screens] : [],
        ];
    }

    /** Whether that is the answer along an axis; no where it is not asked. */
    public function has(string $axis, string ...$answers): bool
    {
        return in_array($this->answers[$axis] ?? null, $answers, true);
    }

    public function of(string $axis): string
    {
        return $this->answers[$axis] ?? throw new \LogicException("nobody is asked for $axis");
    }
}
