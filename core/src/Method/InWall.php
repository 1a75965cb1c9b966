<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Drafting\CannotGenerate;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Generator;
use Apron\Opening\ComposedOpening;
use Apron\Opening\Presets;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** An opening in the wall it names: what it takes from there, and what of it does not fit. */
final readonly class InWall
{
    /** Sizes nearer than this are the same, mm. */
    private const SAME_MM = 1.0;

    /**
     * @param  array<string, float|string>  $stated  of the opening itself
     * @param  array<string, float|string>  $seen  the wall as it was when the opening was last looked at
     */
    public function __construct(
        private Generator $generator,
        private array $stated,
        private ?Wall $wall,
        private array $seen = [],
    ) {
    }

    /**
     * What the wall gives of what the opening does not state itself. A plane that the method names is the method's, and
     * whether it fits is a finding.
     *
     * @return array<string, float|string>
     */
    public function given(): array
    {
        if ($this->wall === null) {
            return [];
        }
        $answers = $this->answers($this->generator, $this->wall);
        $asked = array_column($this->generator->parameters($this->stated + $answers), 'name');
        // The field is of the wall's material only where it is the wall's plane.
        $field = $this->planeFits() ? null : $this->fieldPlace($this->stated + $answers);

        return array_diff_key($answers + $this->figures($asked), array_flip([$field ?? '']));
    }

    /**
     * The parameter for the field of the plane: some junctions call it otherwise than openings do.
     *
     * @param  array<string, float|string>  $given
     */
    private function fieldPlace(array $given): ?string
    {
        return $this->generator instanceof FacetDetail
            ? $this->generator->planePlace($given)
            : $this->wall?->fieldParameter();
    }

    /**
     * @param  list<string>  $asked
     * @return array<string, float|string>
     */
    private function figures(array $asked): array
    {
        if ($this->wall === null) {
            return [];
        }
        $given = $this->stated + $this->answers($this->generator, $this->wall);

        return $this->wall->figures($asked, $this->fieldPlace($given));
    }

    /** @return array<string, string> */
    private function answers(Generator $method, Wall $wall): array
    {
        $answers = [];
        foreach ($wall->answers() as $axis => $of) {
            $first = isset($this->stated[$axis]) || $this->isTheMethods($axis)
                ? null
                : $this->buildable($method, $answers, $axis, $of);
            $answers += $first === null ? [] : [$axis => $first];
        }

        return $answers;
    }

    /**
     * The first answer that a method can be made of; null where none is: that is told of the wall.
     *
     * @param  array<string, string>  $answers
     * @param  list<string>  $of
     */
    private function buildable(Generator $method, array $answers, string $axis, array $of): ?string
    {
        foreach ($of as $answer) {
            try {
                // What a method cannot be made of is refused when it is asked for its plane.
                $method->inPlane($this->stated + $answers + [$axis => $answer]);

                return $answer;
            } catch (CannotGenerate) {
                continue;
            }
        }

        return null;
    }

    /** Whether the method answers that itself, or does not ask it. */
    private function isTheMethods(string $axis): bool
    {
        return $this->generator instanceof ComposedOpening
            ? $this->generator->states($axis)
            : $axis !== 'plane' || $this->generator->namesPlane();
    }

    private function plane(): ?string
    {
        return $this->wall === null
            ? null
            : $this->generator->inPlane($this->stated + $this->answers($this->generator, $this->wall));
    }

    private function planeFits(): bool
    {
        $plane = $this->plane();

        // Panels with flaps are boards that are taped, as far as a wall can tell.
        return $plane === null ||
            $plane === $this->wall?->plane ||
            ($plane === 'flapped-panels' && $this->wall?->plane === 'taped-insulation');
    }

    /** @return list<Finding> */
    public function findings(string $subject): array
    {
        $wall = $this->wall;
        if ($wall === null) {
            return [];
        }
        $found = [];
        if ($wall->plane === null) {
            $found[] = $this->say($subject, $wall, 'opening.no-plane', Severity::Caution, []);
        } elseif (! $this->planeFits()) {
            $code = $this->generator instanceof FacetDetail ? 'opening.no-such-junction' : 'opening.plane-differs';
            $found[] = $this->say($subject, $wall, $code, Severity::Fail, [
                'plane' => "plane.{$this->plane()}",
                'there' => "plane.$wall->plane",
                'method' => $this->nearest($wall->plane),
            ]);
        }
        foreach ($this->differing($wall) as $name => [$stated, $there]) {
            $found[] =
                is_string($stated) || is_string($there)
                    ? $this->say(
                        $subject,
                        $wall,
                        'opening.material-differs',
                        Severity::Caution,
                        ['stated' => (string) $stated, 'there' => (string) $there],
                        $name,
                    )
                    : $this->say(
                        $subject,
                        $wall,
                        'opening.size-differs',
                        Severity::Caution,
                        ['what' => $name, 'stated_mm' => $stated, 'there_mm' => $there],
                        $name,
                    );
        }
        foreach ($this->changed($wall) as $name => [$was, $is]) {
            $found[] = $this->say(
                $subject,
                $wall,
                is_float($was) && is_float($is) ? 'opening.wall-changed' : 'opening.wall-changed-kind',
                Severity::Note,
                is_float($was) && is_float($is)
                    ? ['what' => $name, 'was_mm' => $was, 'is_mm' => $is]
                    : ['was' => (string) $was, 'is' => (string) $is],
                $name,
            );
        }

        return $found;
    }

    /** @param  array<string, float|int|string>  $figures */
    private function say(
        string $subject,
        Wall $wall,
        string $code,
        Severity $severity,
        array $figures,
        string $of = '',
    ): Finding {
        return new Finding(
            $code,
            $severity,
            $subject,
            $figures + ['wall' => $wall->name],
            Source::commonPractice(),
            $of,
        );
    }

    /** The named way that dresses such an opening in the wall's plane: what holds the unit counts before the rest. */
    private function nearest(string $plane): string
    {
        if (! $this->generator instanceof ComposedOpening) {
            return $this->generator instanceof FacetDetail
                ? $this->generator->instead($plane)
                : $this->generator->name();
        }
        $own = $this->generator->composition($this->stated)->answers;
        [$best, $most] = [Presets::USUAL, -1];
        foreach (Presets::all() as $name => $method) {
            $answers = $method->composition()->answers;
            if ($answers['plane'] !== $plane) {
                continue;
            }
            $held = $answers['held_by'] === ($own['held_by'] ?? '') ? count($own) : 0;
            $alike = $held + count(array_intersect_assoc($answers, $own));
            [$best, $most] = $alike > $most ? [$name, $alike] : [$best, $most];
        }

        return $best;
    }

    /**
     * What the opening states otherwise than the wall has it.
     *
     * @return array<string, array{float|string, float|string}>
     */
    private function differing(Wall $wall): array
    {
        $there = $this->figures(array_keys($this->stated));
        if (! $this->planeFits()) {
            unset($there[$this->fieldPlace($this->stated) ?? '']);
        }
        $differ = [];
        foreach ($there as $name => $value) {
            $stated = $this->stated[$name];
            if (! self::same($stated, $value)) {
                $differ[$name] = [$stated, $value];
            }
        }
        // A board that is there and is not dressed, or is dressed and is not there.
        $outboard = $this->stated['outboard'] ?? null;
        if ($outboard === 'flush' && $wall->board > 0) {
            $differ['insulation_mm'] = [0.0, $wall->board];
        }
        if (isset($this->stated['insulation_mm']) && $wall->board === 0.0) {
            $differ['insulation_mm'] = [$this->stated['insulation_mm'], 0.0];
        }

        return $differ;
    }

    /** @return array<string, array{float|string, float|string}> what of the wall has changed since it was looked at */
    private function changed(Wall $wall): array
    {
        $changed = [];
        foreach ($wall->seen() as $name => $is) {
            $was = $this->seen[$name] ?? $is;
            // What is stated here has not moved with the wall: that it differs is said above.
            if (! self::same($was, $is) && ! isset($this->stated[$name])) {
                $changed[$name] = [$was, $is];
            }
        }

        return $changed;
    }

    private static function same(float|string $a, float|string $b): bool
    {
        return is_float($a) && is_float($b) ? abs($a - $b) <= self::SAME_MM : $a === $b;
    }
}
