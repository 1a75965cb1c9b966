<?php

declare(strict_types=1);

namespace Apron\Material;

/** How the zinc came onto the steel: it is ten times as thick from a bath as from a current. */
enum ZincCoating: string
{
    case HotDip = 'hot-dip';
    case Electro = 'electro';
}
