<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Assembly\Assembly;
use Apron\Assembly\DrainEnd;
use Apron\Assembly\DrainPath;

/** The way of the water behind the cladding of each wall in the weather: over heads, past girts, out at the base. */
final class DrainedFaces
{
    /** @var array<string, list<array{Joint, Met}>> level joints by part */
    private array $level = [];

    /** @var array<string, array{float, float}> lowest and highest level of each part, mm */
    private array $reach = [];

    /** @var array<string, DrainedFace> */
    private array $known = [];

    /** @param  array<string, Assembly>  $assemblies  by id */
    private function __construct(private readonly Envelope $envelope, private readonly array $assemblies)
    {
        foreach ($envelope->joints as $joint) {
            foreach ($joint->met as $met) {
                foreach (array_unique($joint->parts) as $part) {
                    $levels = [$met->from[2], $met->to[2], ...$this->reach[$part] ?? []];
                    $this->reach[$part] = [min($levels), max($levels)];
                    if ($met->from[2] === $met->to[2] && $met->length() > 0) {
                        $this->level[$part][] = [$joint, $met];
                    }
                }
            }
        }
    }

    /**
     * @param  array<string, Assembly>  $assemblies  by id
     * @return list<DrainedFace> one for each wall that has a water layer and faces the weather
     */
    public static function of(Envelope $envelope, array $assemblies): array
    {
        $faces = new self($envelope, $assemblies);
        $found = [];
        foreach ($envelope->parts as $part) {
            $face = $faces->face($part);
            if ($face !== null) {
                $found[] = $face;
            }
        }

        return $found;
    }

    private function path(Part $part): ?DrainPath
    {
        $assembly = $this->assemblies[$part->assembly ?? ''] ?? null;
        $weather = $part->kind === PartKind::Wall && $part->faces === Faces::Outside;

        return $weather && $assembly !== null ? DrainPath::of($assembly) : null;
    }

    private function face(Part $part): ?DrainedFace
    {
        $path = $this->path($part);
        if ($path === null) {
            return null;
        }

        return $this->known[$part->id] ??= $this->follow($part, $path);
    }

    private function follow(Part $part, DrainPath $path): DrainedFace
    {
        [$lowest, $highest] = $this->reach[$part->id] ?? [0.0, 0.0];
        [$foot, $below] = $this->joint($part, $lowest);
        [$head] = $this->joint($part, $highest);
        $over = [];
        foreach ($this->envelope->holes as $hole) {
            if ($hole->within === $part->id) {
                $over[] = $hole->part;
            }
        }
        $onto = $below?->kind === PartKind::Wall ? $this->face($below) : null;
        [$out, $why] = $this->verdict($path, $over !== [], $below, $onto);

        return new DrainedFace(
            $part->id,
            $head?->kind,
            $this->members($part, $path),
            $over,
            $path->ends?->heads,
            $foot?->kind,
            $why === DrainedWhy::GoesOn ? $below?->id : null,
            $path->ends?->base,
            $out,
            $why,
        );
    }

    /** @return array{bool|null, DrainedWhy} */
    private function verdict(DrainPath $path, bool $hasOpenings, ?Part $below, ?DrainedFace $onto): array
    {
        $base = $path->ends?->base;
        $leads = $base === DrainEnd::Flashed || ($below?->kind !== PartKind::Wall && $base !== null);

        return match (true) {
            $path->ways === [] => [null, DrainedWhy::NoSpace],
            $path->cutOff() => [false, DrainedWhy::CutOff],
            $base === DrainEnd::Closed => [false, DrainedWhy::BaseClosed],
            $hasOpenings && $path->ends?->heads === DrainEnd::Closed => [false, DrainedWhy::HeadsClosed],
            $leads => [true, DrainedWhy::ComesOut],
            // A wall in the weather goes on below: its space takes the water, or nothing does.
            $onto !== null && $onto->why !== DrainedWhy::NoSpace => [$onto->out, DrainedWhy::GoesOn],
            $below?->kind === PartKind::Wall && $below->faces === Faces::Outside => [false, DrainedWhy::OntoSolid],
            default => [null, DrainedWhy::NotSaid],
        };
    }

    /** @return array{Joint|null, Part|null} the longest level joint of a part at a height, and what is beyond it */
    private function joint(Part $part, float $z): array
    {
        [$found, $beyond, $length] = [null, null, 0.0];
        foreach ($this->level[$part->id] ?? [] as [$joint, $met]) {
            $other = $met->a->id === $part->id ? $met->b : $met->a;
            if (abs($met->from[2] - $z) < 1.0 && $other->kind !== PartKind::Opening && $met->length() > $length) {
                [$found, $beyond, $length] = [$joint, $other, $met->length()];
            }
        }

        return [$found, $beyond];
    }

    /** @return list<string> */
    private function members(Part $part, DrainPath $path): array
    {
        $names = [];
        foreach ($path->ways as $way) {
            $layer = $this->assemblies[$part->assembly ?? '']->layers[$way['at']] ?? null;
            if ($way['blocked'] && $layer?->framing !== null) {
                $names[] = $layer->framing->material->name;
            }
        }

        return array_values(array_unique($names));
    }
}
