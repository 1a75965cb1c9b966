<?php

declare(strict_types=1);

namespace App\Project;

use Apron\Acceptance\Acceptance;
use Apron\Project\Assessment;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Words;

/**
 * `apron-assessment/1` put together from what is kept of each document, as text: of five hundred nothing is read that
 * nobody has accepted anything of.
 *
 * @phpstan-type KeptFinding array{string, string, string}
 */
final class AssessmentText
{
    /** @var array<string, string|list<string>> JSON by key of the assessment, a list of them where it is one */
    private array $figures = [];

    /** @var array<int, list<array{string, string}>> keys and JSON of findings, by severity, the worst first */
    private array $findings = [];

    /** @return KeptFinding its severity, its key, and the JSON of it */
    public static function finding(Finding $finding, Words $words): array
    {
        return [$finding->severity->value, $finding->key(), self::text(Assessment::shape($finding, $words))];
    }

    public static function text(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    public function addFigure(string $key, string $json, bool $list): void
    {
        if (! $list) {
            $this->figures[$key] = $json;

            return;
        }
        $before = $this->figures[$key] ?? [];
        $this->figures[$key] = [...is_array($before) ? $before : [], $json];
    }

    /** @param  iterable<array<int, string>>  $findings  as `finding` makes them */
    public function addFindings(iterable $findings): void
    {
        foreach ($findings as [$severity, $key, $json]) {
            $this->findings[Severity::from($severity)->rank()][] = [$key, $json];
        }
    }

    /** @param  array<string, Acceptance>  $acceptances  by key of the finding */
    public function json(array $acceptances): string
    {
        $parts = ['"format":'.self::text(Assessment::FORMAT)];
        foreach ($this->figures as $key => $json) {
            $parts[] = self::text($key).':'.(is_array($json) ? '['.implode(',', $json).']' : $json);
        }
        ksort($this->findings);
        $told = [];
        foreach ($this->findings as $findings) {
            foreach ($findings as [$key, $json]) {
                $told[] = isset($acceptances[$key])
                    ? self::text(Acceptance::mark([json_decode($json)], $acceptances)[0])
                    : $json;
            }
        }
        $parts[] = '"findings":['.implode(',', $told).']';

        return '{'.implode(',', $parts).'}';
    }
}
