<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** What crew an assembly takes, by the judgement of whoever sets variants side by side. */
enum Skill: string
{
    case Anybody = 'anybody';
    case Practised = 'practised';
    case Trained = 'trained';
}
