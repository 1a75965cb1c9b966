<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\Assembly;
use Apron\Assembly\Framing;
use Apron\Assembly\Runs;
use Apron\Building\Part;
use Apron\Crew\Packing;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;

/** What layers that are not laid out take: by their area and a share over, by film, by length. */
final class LayerAmounts
{
    /** @var array<string, array<string, list<float>>> lengths of strapping by material and part, mm */
    private array $lengths = [];

    private readonly RuleFigures $figures;

    public function __construct(private readonly Takeoff $takeoff, private readonly Amounts $amounts)
    {
        $this->figures = RuleFigures::of('takeoff');
    }

    /** @param  Face|null  $face  null of what is level */
    public function add(Part $part, ?Face $face, Assembly $assembly, int $at, LaidAs $as): void
    {
        $layer = $assembly->layers[$at];
        $rule = $this->takeoff->rule($assembly->id, $layer->id);
        match ($as) {
            LaidAs::Fluid => $this->fluid($part, $assembly, $at, $rule),
            LaidAs::Mortar => $this->mortar($part, $assembly, $at, $rule),
            LaidAs::Spray => $this->amount(
                $part,
                $layer->material->id,
                Counted::Volume,
                $part->net * $layer->thicknessMm * (1 - ($layer->framing->fraction ?? 0.0)),
                ['l', 1.0],
                $this->share($as, $rule),
            ),
            LaidAs::Strapping => $face === null || $layer->framing === null
                ? null
                : $this->strapping($part, $face, $layer->framing, $rule->of ?? $layer->framing->material->id),
            default => $this->area($part, $assembly, $at, $as, $rule),
        };
    }

    private function area(Part $part, Assembly $assembly, int $at, LaidAs $as, LayerRule $rule): void
    {
        $layer = $assembly->layers[$at];
        $net = $part->net * ($as === LaidAs::Batt ? 1 - ($layer->framing->fraction ?? 0.0) : 1.0);
        $share = $this->share($as, $rule);
        $order = ['m2', 1.0];
        $isOthers = $as === LaidAs::Other &&
            $this->figures->lists('structure', $layer->material->family?->id);
        $why = ['rule' => $isOthers ? 'others' : 'share'];
        if ($as->isRolled() || $as->isBoard()) {
            $size = Size::of($as, Usual::of($layer->material), $rule);
            $order = [$as->isBoard() ? 'board' : 'roll', $size->area()];
            $why += ['width_mm' => $size->width, 'length_mm' => $size->length];
        }
        $this->amount($part, $layer->material->id, Counted::Area, $net, $order, $share, $why);
    }

    private function fluid(Part $part, Assembly $assembly, int $at, LayerRule $rule): void
    {
        $layer = $assembly->layers[$at];
        $product = Usual::of($layer->material);
        $under = $assembly->layers[$at - 1]->material->family->id ?? null;
        $row = $this->figures->lists('rough', $under) ? 'rough' : 'smooth';
        $texture = $rule->texture ?? $this->figures->cell('texture', $row, 'factor') ?? 1.0;
        $solids = $product->solidsPct === null
            ? RuleFigures::of('coats')->figure('solids_share')
            : $product->solidsPct / 100;
        // A litre is a millimetre on a square metre.
        $wet = $product->coverageM2L === null ? $layer->thicknessMm / $solids : 1 / $product->coverageM2L;
        $pack = $rule->packL ?? $product->packL ?? ($this->figures->cell('pack_l', 'fluid', 'litres') ?? 1.0);
        $this->amount(
            $part,
            $layer->material->id,
            Counted::Volume,
            $part->net * $wet * $texture,
            ['pail', $pack],
            $this->share(LaidAs::Fluid, $rule),
            ['rule' => 'film', 'wet_mm' => $wet, 'texture' => $texture],
        );
    }

    /** Mixed by the whole kit or the half, never by less: so it is bought. */
    private function mortar(Part $part, Assembly $assembly, int $at, LayerRule $rule): void
    {
        $layer = $assembly->layers[$at];
        $sheet = Usual::of($layer->material);
        $kit = $rule->packL ?? $sheet->packL ?? $this->figures->cell('pack_l', 'mortar', 'litres') ?? 1.0;
        $this->amount(
            $part,
            $layer->material->id,
            Counted::Volume,
            $part->net * $layer->thicknessMm,
            ['half kit', $kit / 2],
            $this->share(LaidAs::Mortar, $rule),
            [
                'rule' => 'kit',
                'slake_min' => $this->figures->figure('mortar_slake_min'),
                ...$sheet->openMin === null ? [] : ['open_min' => $sheet->openMin],
            ],
        );
    }

    /**
     * @param  array{string, float}  $order
     * @param  array<string, float|int|string>  $why
     */
    private function amount(
        Part $part,
        string $material,
        Counted $counted,
        float $net,
        array $order,
        float $share,
        array $why = ['rule' => 'share'],
    ): void {
        $why += ['waste_pct' => 100 * $share];
        $gross = $net * (1 + $share);
        $this->amounts->add(
            new Bought($material, $counted, $net, $gross, $order[0], $order[1], $part->id, $why, [$part->id => 1.0]),
        );
    }

    private function share(LaidAs $as, LayerRule $rule): float
    {
        return $rule->wastePct === null
            ? $this->figures->cell('waste_share', $as->value, 'share') ?? 0.0
            : $rule->wastePct / 100;
    }

    /** Up every line of members, or level at their spacing, in lengths that it is sold in. */
    private function strapping(Part $part, Face $face, Framing $framing, string $material): void
    {
        foreach (self::members($face, $framing) as [$x0, $z0, $x1, $z1]) {
            $this->lengths[$material][$part->id][] = $x1 - $x0 + $z1 - $z0;
        }
    }

    /**
     * Where strapping lies: up every line of members, or level at their spacing; openings left out.
     *
     * @return list<array{float, float, float, float}> left, foot, right, top, mm as the face has them
     */
    public static function members(Face $face, Framing $framing): array
    {
        $spacing = $framing->spacingMm ?? RuleFigures::of('takeoff')->figure('solid_lines_mm');
        $lines = [];
        if ($framing->runs === Runs::Level) {
            for ($z = 0.0; $z <= $face->top + Face::HAIR; $z += $spacing) {
                $at = min($z, $face->top - 1);
                $open = array_filter($face->holes, fn (array $h): bool => $h[1] < $at && $at < $h[3]);
                $out = array_map(fn (array $h): array => [$h[0], $h[2]], $open);
                foreach (Face::without($face->spans($at, $at + 1), $out) as [$from, $to]) {
                    $lines[] = [$from, $at, $to, $at];
                }
            }
        } else {
            foreach ((new Backing($spacing, $face->left, $face->right))->lines($spacing) as $x) {
                foreach ($face->up($x) as [$low, $high]) {
                    $lines[] = [$x, $low, $x, $high];
                }
            }
        }

        return $lines;
    }

    /** Strapping of all parts, off lengths as they are sold. */
    public function cut(): void
    {
        $stock = $this->figures->cell('stock_mm', 'strapping', 'length') ?? 1.0;
        foreach ($this->lengths as $material => $byPart) {
            $pieces = [];
            foreach (array_merge(...array_values($byPart)) as $length) {
                for (; $length > $stock; $length -= $stock) {
                    $pieces[] = $stock;
                }
                $pieces[] = $length;
            }
            $count = max(0, ...Packing::firstFit($pieces, $stock));
            foreach ($byPart as $part => $lengths) {
                $net = array_sum($lengths) / 1000;
                $this->amounts->add(
                    new Bought(
                        $material,
                        Counted::Length,
                        $net,
                        ($net * $count * $stock) / array_sum($pieces),
                        'length',
                        $stock / 1000,
                        $part,
                        ['rule' => 'lengths', 'least' => Packing::atLeast($pieces, $stock)],
                        [$part => 1.0],
                    ),
                );
            }
        }
    }
}
