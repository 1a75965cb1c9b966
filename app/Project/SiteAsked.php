<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use Apron\Inspection\Asked;
use Apron\Inspection\CheckFormat;
use Apron\Inspection\SiteFormat;
use Apron\Project\SiteChecks;
use Apron\Rules\Words;

/**
 * What each check of a project asks, put to a reading that a phone sent without it. The project is opened only where
 * one is.
 */
final class SiteAsked
{
    /** @var array<string, Asked>|null by check */
    private ?array $asked = null;

    public function __construct(private readonly Project $project, private readonly StoredProject $stored)
    {
    }

    /**
     * @param  array<string, mixed>  $row  a reading
     * @return array<string, mixed>
     */
    public function put(array $row): array
    {
        $asked = $this->all()[$row['check'] ?? ''] ?? null;

        return $asked === null ? $row : $row + ['asked' => SiteFormat::writeAsked($asked)];
    }

    /** @return array<string, Asked> */
    private function all(): array
    {
        if ($this->asked === null) {
            $core = $this->stored->withoutRecord($this->project);
            $words = new Words($core->brief->units);
            $this->asked = [];
            foreach (SiteChecks::of($core) as [$check]) {
                $this->asked[$check->id] = CheckFormat::asked($check, $words, $core->materials->catalogue->version);
            }
        }

        return $this->asked;
    }
}
