<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** The country around a building, by how freely driving rain reaches it. */
enum Terrain: string
{
    case Severe = 'severe';

    case Medium = 'medium';

    case Sheltered = 'sheltered';
}
