<?php

declare(strict_types=1);

namespace Apron\Building;

/** What lies on the other side of a part. */
enum Faces: string
{
    case Outside = 'outside';
    case Ground = 'ground';
    case Unconditioned = 'unconditioned';
    case Open = 'open';
}
