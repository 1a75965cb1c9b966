<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Sizes;
use Apron\Material\Material;

/**
 * The water plane is a self-adhered membrane, laid from below upward; the course above the opening comes last and laps
 * over all.
 */
trait InSelfAdhered
{
    /**
     * @param  float  $above  how far it goes up beside the opening past the head
     */
    protected function field(Sizes $s, Material $material, int $step, float $above): Piece
    {
        [$w, $h, $m] = [$s->mm('width'), $s->mm('height'), $s->mm('margin')];
        // Where it goes up beside the opening to the top, it goes on over the head too.
        $over = $above >= $m ? [$this->patch('field.above', 'face', [0, $h, $w, $h + $m], ['f'], $step)] : [];

        return $this->laid(
            'field',
            $material,
            PieceKind::Membrane,
            $step,
            [
                $this->patch('field.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], $step),
                $this->patch('field.left', 'face', [-$m, 0, 0, $h + $above], ['f'], $step),
                $this->patch('field.right', 'face', [$w, 0, $w + $m, $h + $above], ['f'], $step),
                ...$over,
            ],
            PieceRole::Plane,
        );
    }

    /**
     * @param  float  $above  how far above the opening its foot is
     */
    protected function courseAbove(Sizes $s, Material $material, int $step, float $above): Piece
    {
        [$w, $h, $m] = [$s->mm('width'), $s->mm('height'), $s->mm('margin')];

        return $this->laid(
            'course-above',
            $material,
            PieceKind::Membrane,
            $step,
            [$this->patch('course-above.face', 'face', [-$m, $h + $above, $w + $m, $h + $m], [], $step)],
            PieceRole::Plane,
        );
    }
}
