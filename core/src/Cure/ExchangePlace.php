<?php

declare(strict_types=1);

namespace Apron\Cure;

/** Where in an assembly one material takes the place of another. */
enum ExchangePlace: string
{
    /** the face of the room */
    case Finish = 'finish';

    /** a sheet or coat outside of the insulation of a wall */
    case OuterSheet = 'outer-sheet';

    /** a board in front of the structure of a wall */
    case OuterBoard = 'outer-board';

    /** outside of the insulated frame */
    case Sheathing = 'sheathing';

    /** a lining with a facer, on the room’s side */
    case FacedLining = 'faced-lining';

    /** a film on the room’s side */
    case InnerFilm = 'inner-film';

    /** a batt with a facer, between members */
    case FacedCavity = 'faced-cavity';

    /** inside of a wall in the ground */
    case InnerBelowGrade = 'inner-below-grade';

    /** inside of a solid wall, against it */
    case InnerOnMasonry = 'inner-on-masonry';
}
