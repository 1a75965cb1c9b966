<?php

declare(strict_types=1);

namespace Apron\Opening\Holding;

use Apron\Detail\Unit;
use Apron\Opening\Scheme;

/** What holds the unit in its opening, and so what is dressed round it on the face. */
interface Held
{
    /** Where the unit sits and how its joints are closed. */
    public function set(Scheme $in): Unit;

    /** How high above the opening what is dressed over the head reaches. */
    public function headCoverTop(Scheme $in): float;

    /** How far past each side of the opening what covers the head goes. */
    public function headCoverSide(Scheme $in): float;

    /** How far out on the face beside the opening its dressing reaches. */
    public function besideReach(Scheme $in): float;

    /** How high above the opening a fastened sheet is cut, to come down again. */
    public function sheetCut(Scheme $in): float;
}
