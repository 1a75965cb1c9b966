<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\Edges;
use Apron\Detail\Gap;
use Apron\Detail\Mouth;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Boards that are the water plane, their joints taped: sheathing with a factory facer, or insulation. They have no
 * flap: what is dressed at the head relies on its bond. Behind a sheathing panels hide a network of gaps, which tape on
 * the face does not reach: the line where it meets the framing is sealed in the opening too.
 */
final class TapedBoards extends Part implements OnFraming, WaterPlane
{
    /** @param  bool  $faced  sheathing with a facer; else insulation */
    public function __construct(private readonly bool $faced)
    {
    }

    public function groups(Composition $of): array
    {
        return ['framed', 'boards', ...$this->faced ? ['faced'] : []];
    }

    public function materials(Composition $of): array
    {
        return [
            'board_material' => $this->faced ? 'osb-film-faced' : 'polyiso-foil',
            'tape_material' => 'seam-tape',
            'sealant_material' => 'sealant-silyl',
            'spot_material' => 'sealant-silyl',
        ];
    }

    public function headEdges(Composition $of): ?Edges
    {
        return null;
    }

    public function comesDownOverHead(Composition $of): bool
    {
        return false;
    }

    /** Every tape over a joint of the boards relies on its bond. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    private function boardsStep(): string
    {
        return $this->faced ? 'boards' : 'insulation-boards';
    }

    public function steps(Scheme $in): array
    {
        return [
            $this->boardsStep(),
            ...BoardRows::headSteps($in),
            'upright-seams',
            'level-seams',
            ...$this->faced ? ['sheathing-gap'] : [],
        ];
    }

    public function pieces(Scheme $in): array
    {
        $tape = $in->material('tape');

        return [
            ...BoardRows::boards($in, $in->material('board'), $in->at($this->boardsStep())),
            ...BoardRows::spots($in),
            ...BoardRows::uprightTapes($in, $tape, $in->at('upright-seams')),
            ...BoardRows::levelTapes($in, $tape, $in->at('level-seams')),
            ...$this->faced ? $this->gapBeads($in) : [],
        ];
    }

    /** @return array<string, array{float, float, float, float}> the line from sheathing to framing on each return */
    private static function gapLine(Scheme $in, float $half): array
    {
        [$w, $h, $z] = [$in->mm('width'), $in->mm('height'), $in->mm('sheathing')];

        return [
            'sill' => [0.0, $z - $half, $w, $z + $half],
            'jamb-left' => [$z - $half, 0.0, $z + $half, $h],
            'jamb-right' => [$z - $half, 0.0, $z + $half, $h],
            'head' => [0.0, $z - $half, $w, $z + $half],
        ];
    }

    /** @return list<Piece> */
    private function gapBeads(Scheme $in): array
    {
        $step = $in->at('sheathing-gap');
        $beads = [];
        foreach (self::gapLine($in, 5.0) as $facet => $rect) {
            $beads[] = Lay::piece("gap-bead-$facet", $in->material('sealant'), PieceKind::Sealant, $step, [
                Lay::patch("gap-bead-$facet.in", $facet, $rect, [], $step),
            ]);
        }

        return $beads;
    }

    public function framing(Scheme $in): array
    {
        return BoardRows::framing($in);
    }

    public function fasteners(Scheme $in, array $pieces): array
    {
        return BoardRows::fasteners($in, $pieces);
    }

    /** Between sheathing and framing, out on all four returns, and into the room by the cavities of the frame. */
    public function gaps(Scheme $in): array
    {
        if (! $this->faced) {
            return [];
        }
        $mouths = [];
        foreach (self::gapLine($in, 1.0) as $facet => $rect) {
            $mouths[] = new Mouth($facet, new Rect(...$rect), null);
        }

        return [new Gap('behind-sheathing', $mouths, [Gap::INDOORS])];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'sheathing-gap' ? [] : BoardRows::figures($does, $in);
    }

    public function leastLaps(Scheme $in): array
    {
        return BoardRows::leastLaps($in);
    }

    public function demandRoom(Scheme $in): void
    {
        BoardRows::demandRoom($in);
        if ($this->faced && ($in->mm('sheathing') <= 5 || $in->mm('depth') <= $in->mm('sheathing') + 5)) {
            throw new CannotGenerate(
                'sheathing_mm',
                $in->mm('sheathing'),
                'more than 5 mm and less than the return of the opening',
            );
        }
    }
}
