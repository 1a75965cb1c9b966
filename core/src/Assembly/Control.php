<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** The four things an envelope holds back, each by one continuous layer. */
enum Control: string
{
    case Water = 'water';
    case Air = 'air';
    case Vapour = 'vapour';
    case Heat = 'heat';
}
