<?php

declare(strict_types=1);

namespace Apron\Json;

/** A part of a stored project that can no longer be read, and why; all the others are read without it. */
final readonly class Broken
{
    public function __construct(
        /**
         * the section of the file it stands in: assemblies, details, openings, materials, site, training, or the brief
         */
        public string $section,
        /** its id there; empty for what has none */
        public string $id,
        public FileRefused $why,
    ) {
    }
}
