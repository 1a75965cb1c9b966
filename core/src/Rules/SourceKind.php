<?php

declare(strict_types=1);

namespace Apron\Rules;

enum SourceKind: string
{
    case Published = 'published';
    case CommonPractice = 'common-practice';
    case DataSheet = 'data-sheet';
    /** Recalled and not yet checked against the document; said wherever the figure is shown. */
    case FromMemory = 'from-memory';
    case Computed = 'computed';
    /** A figure typed without saying where it is from. */
    case Unstated = 'unstated';
}
