<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\Edges;
use Apron\Detail\LeastLap;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/**
 * The opening is dressed first and the field laid last, in courses from below upward: the lower one tucks under the leg
 * of the sill strip, those beside lap over the strips at the jambs, the one above over what is dressed at the head.
 * Nothing is cut, and nothing relies on a tape.
 */
final class FieldLast extends Part implements WaterPlane
{
    public function __construct(private readonly string $plane)
    {
    }

    private function sheet(): bool
    {
        return $this->plane === 'fastened-sheet';
    }

    public function groups(Composition $of): array
    {
        return ['field-last'];
    }

    public function materials(Composition $of): array
    {
        return $this->sheet()
            ? ['sheet_material' => 'polyolefin-wrap']
            : ['membrane_material' => 'membrane-permeable'];
    }

    public function headEdges(Composition $of): ?Edges
    {
        return null;
    }

    public function comesDownOverHead(Composition $of): bool
    {
        return true;
    }

    public function steps(Scheme $in): array
    {
        return ['lower-course-under', 'sill-foot-down', 'courses-beside', 'course-over-head'];
    }

    /** Of the course above over those beside, and of those over the lower one. */
    private function levelLap(Scheme $in): float
    {
        return match (true) {
            ! $this->sheet() => $in->mm('membrane_lap'),
            $in->of->has('sheet_laps', '150-150') => $in->least('sheet_upright_lap'),
            default => $in->least('flap_over_head_strip'),
        };
    }

    /**
     * Of the courses beside over what is dressed at the jambs. Where strips lie over a flange it ends on them, clear of
     * what lines the opening.
     */
    private function besideLap(Scheme $in): float
    {
        $clear = $in->of->held->besideReach($in) - $in->mm('face_return');

        return $clear > 0 ? min($in->mm('membrane_lap'), $clear) : $in->mm('membrane_lap');
    }

    /** How far above the opening the foot of the course above lies. */
    private function foot(Scheme $in): float
    {
        // Down to a tenth of a millimetre, so that no rounding makes the lap short.
        return max(0.0, floor(10 * ($in->headCoverTop() - $this->levelLap($in))) / 10);
    }

    /** The top of the lower course: by the lap under the sill strip's leg. */
    private function lowerTop(Scheme $in): float
    {
        return $in->mm('course_under') - $in->sillLeg();
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $m] = [$in->mm('width'), $in->mm('height'), $in->mm('margin')];
        [$lower, $foot, $lap] = [$this->lowerTop($in), $this->foot($in), $this->levelLap($in)];
        $edge = $in->of->held->besideReach($in) - $this->besideLap($in);

        return [
            $this->course($in, 'lower-course', 'lower-course-under', [-$m, -$m, $w + $m, $lower]),
            $this->course($in, 'course-left', 'courses-beside', [-$m, $lower - $lap, -$edge, $h + $foot + $lap]),
            $this->course($in, 'course-right', 'courses-beside', [
                $w + $edge,
                $lower - $lap,
                $w + $m,
                $h + $foot + $lap,
            ]),
            $this->course($in, 'course-above', 'course-over-head', [-$m, $h + $foot, $w + $m, $h + $m]),
        ];
    }

    /** @param  array{float, float, float, float}  $rect */
    private function course(Scheme $in, string $id, string $does, array $rect): Piece
    {
        return Lay::onFace(
            $id,
            $in->material($this->sheet() ? 'sheet' : 'membrane'),
            $this->sheet() ? PieceKind::Sheet : PieceKind::Membrane,
            $in->at($does),
            $rect,
            PieceRole::Plane,
        );
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'lower-course-under' => ['lap_mm' => $in->mm('course_under')],
            'sill-foot-down' => ['leg_mm' => $in->sillLeg()],
            'courses-beside' => ['lap_mm' => $this->besideLap($in), 'level_mm' => $this->levelLap($in)],
            'course-over-head' => ['lap_mm' => $in->headCoverTop() - $this->foot($in)],
            default => null,
        };
    }

    public function leastLaps(Scheme $in): array
    {
        return $this->sheet()
            ? [new LeastLap('sheet', 'sheet', $in->least('flap_over_head_strip'), $in->least('membrane_lap'))]
            : [];
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandBelow('strip_face_mm', $in->mm('margin') - $this->levelLap($in), 'the wall below the sill');
        $in->demandBelow(
            'course_under_mm',
            $in->mm('strip_face') - $in->mm('face_return') + 1,
            'the part of the strip that is left loose for it',
        );
        if ($in->mm('margin') <= $this->foot($in) + $this->levelLap($in)) {
            throw new CannotGenerate(
                'margin_mm',
                $in->mm('margin'),
                sprintf('more than %g mm, where the course above begins', $this->foot($in) + $this->levelLap($in)),
            );
        }
    }
}
