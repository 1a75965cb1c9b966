<?php

declare(strict_types=1);

namespace Apron\Assembly;

/** What an assembly costs beside its like, by the judgement of whoever sets variants side by side. */
enum Cost: string
{
    case Lean = 'lean';
    case Usual = 'usual';
    case Dear = 'dear';
}
