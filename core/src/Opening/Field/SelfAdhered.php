<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * A self-adhered membrane. Shingled at the head: below and beside the opening first, the course above only after the
 * head is dressed, so that it laps over that and over what lies beside. Or, another school, all at once, and the head
 * piece lapped over it the wrong way with its top edge under tape and mastic.
 */
final class SelfAdhered extends Part implements WaterPlane
{
    public function materials(Composition $of): array
    {
        return ['membrane_material' => 'membrane-permeable'];
    }

    public function headEdges(Composition $of): ?Edges
    {
        return $this->comesDownOverHead($of) ? null : new Edges(['top' => Edge::Sealed]);
    }

    public function comesDownOverHead(Composition $of): bool
    {
        return ! $of->has('head', 'reverse-lap');
    }

    /** Shingled, every lap sheds; else the head relies on its seal. */
    public function worst(Composition $of): Outcome
    {
        return $of->has('head', 'reverse-lap') ? Outcome::ReliesOnSeal : Outcome::Shed;
    }

    public function steps(Scheme $in): array
    {
        return $this->comesDownOverHead($in->of)
            ? ['membrane-below-and-beside', self::courseStep($in)]
            : ['membrane-all-over'];
    }

    public static function courseStep(Scheme $in): string
    {
        return match (true) {
            $in->of->has('outboard', 'board') => 'course-over-flashing',
            $in->of->has('held_by', 'flange') => 'course-above',
            default => 'course-to-arris',
        };
    }

    /** How far above the opening the foot of the course above lies: by a lap below what it covers, or at the arris. */
    public static function courseFoot(Scheme $in): float
    {
        $lap = $in->mm('membrane_lap');

        return match (true) {
            $in->of->has('outboard', 'board') => $in->mm('upstand') - $lap,
            $in->of->has('held_by', 'flange') => min(
                $in->of->held->sheetCut($in) - $lap,
                $in->headCoverTop() - $lap,
            ),
            default => 0.0,
        };
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $m] = [$in->mm('width'), $in->mm('height'), $in->mm('margin')];
        $over = $this->comesDownOverHead($in->of);
        $above = $over ? self::courseFoot($in) + $in->mm('membrane_lap') : $m;
        $step = $in->firstAt('membrane-below-and-beside', 'membrane-all-over');
        $field = Lay::piece(
            'field',
            $in->material('membrane'),
            PieceKind::Membrane,
            $step,
            [
                Lay::patch('field.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], $step),
                Lay::patch('field.left', 'face', [-$m, 0, 0, $h + $above], ['f'], $step),
                Lay::patch('field.right', 'face', [$w, 0, $w + $m, $h + $above], ['f'], $step),
                // Where it goes up beside the opening to the top, it goes on over the head too.
                ...$over ? [] : [Lay::patch('field.above', 'face', [0, $h, $w, $h + $m], ['f'], $step)],
            ],
            PieceRole::Plane,
        );
        if (! $over) {
            return [$field];
        }

        return [
            $field,
            Lay::onFace(
                'course-above',
                $in->material('membrane'),
                PieceKind::Membrane,
                $in->at(self::courseStep($in)),
                [-$m, $h + self::courseFoot($in), $w + $m, $h + $m],
                PieceRole::Plane,
            ),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        $lap = $in->mm('membrane_lap');

        return match ($does) {
            'membrane-below-and-beside' => ['above_mm' => self::courseFoot($in) + $lap],
            'course-above' => ['lap_mm' => $in->headCoverTop() - self::courseFoot($in)],
            'course-to-arris' => ['lap_mm' => $lap],
            'course-over-flashing' => ['lap_mm' => $lap, 'clear_mm' => self::courseFoot($in)],
            default => null,
        };
    }
}
