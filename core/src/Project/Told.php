<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Inspection\Check;
use Apron\Rules\Finding;

/** What is said of one document, and what it was said of. */
final readonly class Told
{
    /**
     * @param  list<Finding>  $findings
     * @param  array<string, mixed>  $figures  by key of `apron-assessment/1`: a row of a list, or a whole section
     * @param  list<string>  $materials  ids that it stands on
     * @param  list<Check>  $checks  what is to be read of it on site
     */
    public function __construct(
        public array $findings = [],
        public array $figures = [],
        public array $materials = [],
        public array $checks = [],
        /** what it is called */
        public string $title = '',
        /** @var list<string> ids of documents that it was said of, beside those that it names */
        public array $documents = [],
    ) {
    }
}
