<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Material\Material;
use Apron\Opening\Scheme;

/** Flat strips at sill, jambs and head, and what goes over their slits at the four corners. */
final readonly class SlitLining
{
    public function __construct(
        private Material $sill,
        private Material $jambs,
        private PieceKind $strips,
        private Material $corner,
        private PieceKind $corners,
        /** what the steps of the corners are called: `corner-patches`, `moulded-corners` */
        private string $cornerStep,
        /** how far the strips reach in, mm */
        private float $inside,
    ) {
    }

    /** @return list<string> */
    public static function steps(string $cornerStep): array
    {
        return ['sill-tape-slit', "$cornerStep-sill", 'jamb-liners', 'head-tape-slit', "$cornerStep-head"];
    }

    /** @return list<Piece> */
    public function pieces(Scheme $in): array
    {
        [$leg, $step] = [$in->mm('corner_patch') / 2, $in->at('sill-tape-slit')];

        return [
            Liners::slit(
                'pan',
                $in,
                $this->sill,
                $this->strips,
                $step,
                $in->sillLeg(),
                $this->inside,
                $in->sillLegDown($step),
            ),
            ...$this->atCorners('sill', $in, $leg),
            ...Liners::jambs(
                $in,
                $this->jambs,
                $in->at('jamb-liners'),
                $leg - $in->least('membrane_lap'),
                $this->strips,
                $this->inside,
            ),
            Liners::slit(
                'head-liner',
                $in,
                $this->sill,
                $this->strips,
                $in->at('head-tape-slit'),
                $in->mm('face_return'),
                $this->inside,
            ),
            ...$this->atCorners('head', $in, $leg),
        ];
    }

    /** @return list<Piece> */
    private function atCorners(string $facet, Scheme $in, float $leg): array
    {
        return Liners::corners($facet, $in, $this->corner, $this->corners, $in->at("$this->cornerStep-$facet"), $leg);
    }
}
