<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Detail;
use Apron\Detail\Generated;
use Apron\Detail\LeastLap;
use Apron\Detail\OpeningGeometry;
use Apron\Detail\Piece;
use Apron\Detail\SillPitch;
use Apron\Drafting\Asked;
use Apron\Drafting\Buildable;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Generator;
use Apron\Drafting\Lay;
use Apron\Drafting\StepNumbers;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Materials;
use Apron\Opening\Field\OnFraming;
use Apron\Trace\Outcome;

/**
 * A unit in an opening, composed of one answer along each axis. A preset names the answers of a way that is often
 * built, and any of them may be given otherwise.
 */
final class ComposedOpening implements Generator
{
    /** @var array<string, array{float, float}> sizes that must be given, mm: least and most */
    public const EXTENTS = [
        'width_mm' => [300.0, 6000.0],
        'height_mm' => [300.0, 6000.0],
        'depth_mm' => [60.0, 1000.0],
    ];

    /** Axes that a preset is named by; the others of it a school may answer otherwise. */
    private const NAMED_BY = [
        'plane',
        'held_by',
        'first',
        'dressing',
        'under_sill',
        'outboard',
        'outer',
        'over_flange',
    ];

    /** So many ways of one preset are kept ready. */
    private const KEPT = 50;

    /** @var array<string, Composition> by what was said: hundreds of openings say the same */
    private array $composed = [];

    /** @var array<string, Asked> by what is composed */
    private array $asked = [];

    /** @param  array<string, string>  $preset  answers by axis */
    public function __construct(private readonly string $name, private readonly array $preset)
    {
    }

    public function name(): string
    {
        return $this->name;
    }

    /** Whether the method itself has an answer along an axis. */
    public function states(string $axis): bool
    {
        return isset($this->preset[$axis]);
    }

    /** Whether an axis is what the method is called by: no school takes a coat away from a method of fluid. */
    public function isA(string $axis): bool
    {
        return $this->states($axis) && in_array($axis, self::NAMED_BY, true);
    }

    /**
     * What is composed of what is given, the rest as the preset has it.
     *
     * @param  array<string, float|string>  $given
     *
     * @throws CannotGenerate where answers do not go together, with the reason and the nearest that do
     */
    public function composition(array $given = []): Composition
    {
        $said = array_filter($given, is_string(...));

        return self::kept(
            $this->composed,
            json_encode($said, JSON_THROW_ON_ERROR),
            fn (): Composition => new Composition(Axes::answers($this->preset, $said)),
        );
    }

    public function parameters(array $given = []): array
    {
        $composition = $this->composition($given);

        return $this->asked($composition)->parameters();
    }

    public function inInches(array $given = []): array
    {
        return $this->asked($this->composition($given))->inInches($given);
    }

    public function inPlane(array $given): string
    {
        return $this->composition($given)->of('plane');
    }

    public function namesPlane(): bool
    {
        return $this->states('plane');
    }

    public function worst(array $parameters = []): Outcome
    {
        $composition = $this->composition($parameters);

        return array_reduce(
            $composition->parts,
            fn (Outcome $worst, Part $part): Outcome => $worst->worse($part->worst($composition)),
            Outcome::Shed,
        );
    }

    private function asked(Composition $composition): Asked
    {
        return self::kept(
            $this->asked,
            json_encode($composition->answers, JSON_THROW_ON_ERROR),
            fn (): Asked => $this->gathered($composition),
        );
    }

    /**
     * Hundreds of openings say the same; a process that lives long is told of many ways, and forgets the oldest.
     *
     * @template T of object
     *
     * @param  array<string, T>  $kept
     * @param  \Closure(): T  $make
     * @return T
     */
    private static function kept(array &$kept, string $key, \Closure $make): object
    {
        if (! isset($kept[$key])) {
            $kept = [...array_slice($kept, -self::KEPT + 1), $key => $make()];
        }

        return $kept[$key];
    }

    private function gathered(Composition $composition): Asked
    {
        $data = CoreData::read('figures/openings');
        $groups = array_merge(
            ...array_map(fn (Part $part): array => $part->groups($composition), $composition->parts),
        );
        $materials = [];
        foreach ($composition->parts as $part) {
            $materials += $part->materials($composition);
        }

        return new Asked(
            self::EXTENTS,
            Asked::figures([
                $data->get('figures'),
                ...array_map(fn (string $group): Node => $data->get($group), array_unique($groups)),
            ]),
            Axes::offered($this->preset, $composition->answers),
            $materials,
        );
    }

    public function make(string $id, string $title, array $parameters, Materials $materials): Detail
    {
        $composition = $this->composition($parameters);
        $asked = $this->asked($composition);
        $asked->demandKnown($parameters);
        $scheme = new Scheme(
            $composition,
            $asked->sizes($parameters),
            $asked->materials($parameters, $materials),
            self::leastOfTheTrade(),
        );
        self::demandRoom($scheme);
        $detail = self::draw($id, $title, $scheme, new Generated($this->name, $parameters));
        Buildable::demand($detail);

        return $detail;
    }

    /** @return array<string, float> mm by name */
    private static function leastOfTheTrade(): array
    {
        /** @var array<string, float>|null $least */
        static $least = null;

        return $least ??= array_map(
            fn (Node $row): float => $row->number(),
            CoreData::read('figures/openings')->get('least')->entries(),
        );
    }

    /** @throws CannotGenerate */
    private static function demandRoom(Scheme $in): void
    {
        if ($in->mm('height') < $in->mm('pan_upturn') + $in->mm('membrane_lap')) {
            throw new CannotGenerate(
                'height_mm',
                $in->mm('height'),
                'an opening taller than the pan upturn and its lap',
            );
        }
        if ($in->mm('margin') <= $in->mm('face_return')) {
            throw new CannotGenerate(
                'margin_mm',
                $in->mm('margin'),
                sprintf('more than the return on the face, %g mm', $in->mm('face_return')),
            );
        }
        // What holds the unit first: the others stand on its sizes.
        $in->of->held->demandRoom($in);
        foreach ($in->of->parts as $part) {
            if ($part !== $in->of->held) {
                $part->demandRoom($in);
            }
        }
    }

    private static function draw(string $id, string $title, Scheme $in, Generated $generated): Detail
    {
        $opening = new OpeningGeometry(
            width: $in->mm('width'),
            height: $in->mm('height'),
            depth: $in->mm('depth'),
            margin: $in->mm('margin'),
            sillPitch: SillPitch::Out,
            sillFall: $in->mm('sill_fall'),
            // The recess of a flush threshold is the only dam it has: the trace says what wind it holds against.
            backDam: $in->mm($in->of->has('held_by', 'blocks') ? 'recess' : 'back_dam'),
            headOfWater: $in->mm('head_of_water'),
            outerBoard: $in->of->has('outboard', 'board') ? $in->mm('insulation') : 0.0,
        );
        $order = Sequence::of(array_merge(...array_map(fn (Part $part): array => $part->steps($in), $in->of->parts)));
        $numbered = $in->withSteps(StepNumbers::inOrder($order));
        $pieces = array_merge(...array_map(fn (Part $p): array => $p->pieces($numbered), $in->of->parts));
        usort($pieces, fn (Piece $a, Piece $b): int => $a->step <=> $b->step);
        $pieces = self::held($in, $pieces);
        $plane = $in->of->plane instanceof OnFraming ? $in->of->plane : null;

        return new Detail(
            id: $id,
            title: $title,
            opening: $opening,
            facets: $opening->facets(),
            folds: [],
            release: null,
            tolerant: $in->of->has('solid_sheet', 'omitted') ? ['face'] : [],
            unit: $in->of->held->set($in),
            pieces: $pieces,
            penetrations: [],
            fasteners: $plane?->fasteners($in, $pieces) ?? [],
            framing: $plane?->framing($in) ?? [],
            leastLaps: self::leastLaps($in),
            panUpturn: $in->mm('pan_upturn'),
            steps: Lay::numbered(
                array_map(fn (string $does): array => [$does, self::figuresOf($does, $numbered)], $order),
            ),
            generated: $generated,
            gaps: $plane?->gaps($in) ?? [],
        );
    }

    /**
     * A solid wall without a sheet holds the air itself: what is bonded to it on every return joins it.
     *
     * @param  list<Piece>  $pieces
     * @return list<Piece>
     */
    private static function held(Scheme $in, array $pieces): array
    {
        $bonded = ['pan', 'liner-left', 'liner-right', 'head-liner', 'detail-coat'];

        return ! $in->of->has('solid_sheet', 'omitted')
            ? $pieces
            : array_map(fn (Piece $p): Piece => in_array($p->id, $bonded, true) ? $p->asAirLayer() : $p, $pieces);
    }

    /** @return array<string, float> what the words of a step speak of */
    private static function figuresOf(string $does, Scheme $in): array
    {
        foreach ($in->of->parts as $part) {
            $figures = $part->figures($does, $in);
            if ($figures !== null) {
                return $figures;
            }
        }

        return [];
    }

    /** @return list<LeastLap> */
    private static function leastLaps(Scheme $in): array
    {
        $lap = $in->least('membrane_lap');

        return [
            ...Lay::lapping(['membrane', 'formable', 'corner', 'fluid'], $lap),
            new LeastLap('membrane', 'sheet', $lap, $lap),
            new LeastLap('sheet', 'membrane', $in->least('flap_over_head_strip'), $lap),
            new LeastLap('tape', 'sheet', $in->least('slit_tape_side'), $in->least('slit_tape_side')),
            ...array_merge(...array_map(fn (Part $part): array => $part->leastLaps($in), $in->of->parts)),
        ];
    }
}
