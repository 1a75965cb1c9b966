<?php

namespace Apron\Sequence;

use Apron\Detail\Detail;
use Apron\Material\Materials;
use Apron\Trace\Outcome;

/** Makes a whole detail from a few sizes: one small class for each way of dressing an opening or a joint. */
interface Generator
{
    /** What the file and the words know it by. */
    public function name(): string;

    /**
     * @param  array<string, float|string>  $parameters  lengths in mm; those left out take the figures of the trade
     *
     * @throws CannotGenerate where the sizes leave no room for the method
     */
    public function make(string $id, string $title, array $parameters, Materials $materials): Detail;

    /** The worst that its school permits: what the rain trace of its own output must not exceed, and what it honestly is. */
    public function worst(): Outcome;
}
