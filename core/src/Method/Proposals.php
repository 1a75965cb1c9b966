<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Control;
use Apron\Brief\Brief;
use Apron\Building\JointKind;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Generator;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Materials;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/** For a joint between two assemblies: the method that can be made there, and how far apart what it joins lies. */
final readonly class Proposals
{
    /** @param  array<string, Assembly>  $assemblies  by id */
    public function __construct(private array $assemblies, private Brief $brief, private Materials $materials)
    {
    }

    /**
     * @param  array{string, string}  $between  ids of assemblies, or `opening`
     * @param  bool  $upright  whether they meet side by side, and not one over the other
     * @return array{method: string|null, parameters: object, wall: string|null,
     *   offsets_mm: array<string, float|null>, folded: list<string>} `offsets_mm` between what carries each control on
     *   either side, from the air plane that both meet in; `folded` those too far apart for a strip to bridge
     */
    public function at(JointKind $kind, array $between, bool $upright): array
    {
        $offsets = $this->offsets($between);
        $near = RuleFigures::of('proposals')->figure('in_plane_mm');
        [$method, $wall, $parameters] = $this->method($kind, $between, $upright) ?? [null, null, []];

        return [
            'method' => $method,
            'parameters' => (object) $parameters,
            'wall' => $wall,
            'offsets_mm' => $offsets,
            'folded' => array_keys(array_filter($offsets, fn (?float $mm): bool => ($mm ?? 0.0) > $near)),
        ];
    }

    /**
     * @param  array{string, string}  $between
     * @return array<string, float|null> mm by control; null where a side has no such layer, or no air plane
     */
    private function offsets(array $between): array
    {
        [$a, $b] = [$this->assemblies[$between[0]] ?? null, $this->assemblies[$between[1]] ?? null];
        $offsets = [];
        foreach (Control::cases() as $control) {
            [$one, $other] = [self::outward($a, $control), self::outward($b, $control)];
            $offsets[$control->value] = $one === null || $other === null ? null : round(abs($one - $other), 1);
        }

        return $offsets;
    }

    /** How far outside of the air plane a control lies, mm, by the outer faces of the two. */
    private static function outward(?Assembly $assembly, Control $control): ?float
    {
        [$air, $own, $depth] = [null, null, 0.0];
        foreach ($assembly->layers ?? [] as $layer) {
            $depth += $layer->thicknessMm;
            $air = in_array(Control::Air, $layer->controls, true) ? $depth : $air;
            $own = in_array($control, $layer->controls, true) ? $depth : $own;
        }

        return $air === null || $own === null ? null : $own - $air;
    }

    /**
     * @param  array{string, string}  $between
     * @return array{string, string, array<string, float|string>}|null a method, the assembly whose plane it is made
     *   in, and what is to be given
     */
    private function method(JointKind $kind, array $between, bool $upright): ?array
    {
        $rows = CoreData::read('figures/proposals')->get('kinds')->optional($kind->value)?->items(1) ?? [];
        foreach ($rows as $row) {
            $generator = Methods::named($row->get('method')->id());
            foreach ($this->walls($between) as $id => $wall) {
                if ($generator === null || ! $this->fits($row, $between, $upright, $wall)) {
                    continue;
                }
                $given = $this->made($generator, $wall);
                if ($given !== null) {
                    return [$generator->name(), (string) $id, $given];
                }
            }
        }

        return null;
    }

    /**
     * @param  array{string, string}  $between
     * @return array<string, Wall> the walls among them, those in the weather before those in the ground
     */
    private function walls(array $between): array
    {
        $walls = [];
        foreach ([false, true] as $inGround) {
            foreach ($between as $id) {
                $assembly = $this->assemblies[$id] ?? null;
                if ($assembly?->kind === AssemblyKind::Wall && ($assembly->soil !== null) === $inGround) {
                    $walls[$id] ??= Wall::of($assembly);
                }
            }
        }

        return $walls;
    }

    /** @param  array{string, string}  $between */
    private function fits(Node $row, array $between, bool $upright, Wall $wall): bool
    {
        $asked = array_map(fn (Node $when): string => $when->id(), $row->optional('when')?->items(1) ?? []);
        $masonry = array_filter(
            $between,
            fn (string $id): bool => isset($this->assemblies[$id]) && self::isMasonry($this->assemblies[$id]),
        );
        $holds = ['board' => $wall->board > 0, 'level' => ! $upright, 'masonry' => $masonry !== []];

        return $wall->plane !== null && ! in_array(false, array_intersect_key($holds, array_flip($asked)), true);
    }

    private static function isMasonry(Assembly $assembly): bool
    {
        foreach ($assembly->layers as $layer) {
            if ($layer->framing !== null) {
                return false;
            }
        }

        return Wall::of($assembly)->reveal?->holdsWater() === true;
    }

    /** @return array<string, float|string>|null what it needs given beside its wall; null where it cannot be made */
    private function made(Generator $generator, Wall $wall): ?array
    {
        $sizes = [];
        foreach ($generator->parameters([]) as $parameter) {
            if ($parameter['kind'] === 'size') {
                $usual = RuleFigures::of('proposals')->cell('sizes', $parameter['name'], 'mm');
                $sizes[$parameter['name']] = $usual ?? $parameter['least'] ?? 0.0;
            }
        }
        // What the wall gives is taken from there, now and when it changes.
        $given = array_diff_key($sizes, ['depth_mm' => 1]);
        try {
            Methods::make($generator->name(), 'proposed', 'Proposed', $given, $this->brief, $this->materials, $wall);
            $unfit = array_filter(
                (new InWall($generator, $given, $wall))->findings('proposed'),
                fn (Finding $finding): bool => $finding->severity === Severity::Fail,
            );

            return $unfit === [] ? $given : null;
        } catch (CannotGenerate) {
            return null;
        }
    }
}
