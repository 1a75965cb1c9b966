<?php

declare(strict_types=1);

// ./apron check FILE [--json] : the core alone, no database, no framework.

require __DIR__.'/lib/guard.php';

use Apron\Conduction\PlaneAssessment;
use Apron\Contact\Contact;
use Apron\Json\FileRefused;
use Apron\Material\Catalogue;
use Apron\Project\Assessment;
use Apron\Project\Project;
use Apron\Project\ProjectFormat;
use Apron\Project\Section\AcceptancesSection;
use Apron\Quantity\Display;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Words;
use Apron\Transient\LabAssessment;
use Apron\Transient\WallAssessment;

/** @return array{Project, Assessment, Words} */
function assess(string $path): array
{
    $json =
        $path === '-'
            ? stream_get_contents(STDIN)
            : (is_file($path) && is_readable($path)
                ? file_get_contents($path)
                : false);
    if ($json === false) {
        throw new FileRefused('', "no readable file “{$path}”", 'the path of a project file, or - for standard input');
    }
    // Joints in two dimensions and walls hour by hour are long loops of floats: compiled, they take a quarter of the
    // time.
    $compiler = function_exists('opcache_get_status') ? opcache_get_status(false) : false;
    $isThere = is_array($compiler) && ($compiler['jit']['enabled'] ?? false);
    if ($isThere && ! $compiler['jit']['on'] && preg_match('/"(?:runs|plane_sections)"\s*:/', $json) === 1) {
        ini_set('opcache.jit', 'tracing');
    }
    $project = ProjectFormat::parse($json, new Catalogue);

    return [$project, new Assessment($project), new Words($project->brief->units)];
}

function table(Project $project, Assessment $assessment, Words $words): string
{
    $show = new Display($project->brief->units);
    $lines = [$project->brief->name];
    foreach ($assessment->assemblies as $one) {
        [$total, $u] = [$one->heat->total(), $one->heat->u()];
        $lines[] = sprintf(
            '  %s · %s   R %s   U %s   the year: %s',
            $one->assembly->id,
            $one->assembly->name,
            $total === null ? 'not computed' : $show->figure('r_m2k_w', $total),
            $u === null ? 'not computed' : $show->figure('u_w_m2k', $u),
            $one->year?->verdict()->value ?? 'no climate',
        );
    }
    foreach ($assessment->rows('plane_sections') as $one) {
        $heat = $one instanceof PlaneAssessment ? $one->heat : null;
        $lines[] = $heat === null ? '' : sprintf(
            '  %s · %s   %.2f W/m   ψ %s   fRsi %s',
            $heat->section->id,
            $heat->section->title,
            $heat->flow,
            $heat->psi() === null ? '–' : sprintf('%.3f W/(m·K)', $heat->psi()),
            $heat->factor() === null ? '–' : sprintf('%.2f', $heat->factor()),
        );
    }
    foreach ($assessment->rows('runs') as $one) {
        $lines[] = match (true) {
            $one instanceof LabAssessment => sprintf(
                '  %s · %s   %.2f kg/m² after %g h',
                $one->run->id,
                $one->run->title,
                $one->water,
                $one->reached,
            ),
            $one instanceof WallAssessment && $one->result !== null => sprintf(
                '  %s · %s   mould index %.1f   %s',
                $one->run->id,
                $one->run->title,
                max(array_column($one->result->interfaces, 'mould_index_max')),
                $one->result->steadyAfter === null ? 'not steady yet' : "the same after {$one->result->steadyAfter} y",
            ),
            default => '',
        };
    }
    $accepted = AcceptancesSection::byFinding($project);
    $want = array_filter(
        $assessment->contacts->all(),
        fn (Contact $contact): bool => $contact->severity() !== Severity::Pass,
    );
    if ($want !== []) {
        $lines[] = '';
        $lines[] = count($want).' of '.count($assessment->contacts->all()).' pairs that touch want something:';
        foreach ($want as $contact) {
            $lines[] = "  {$contact->judged->verdict->value}: {$contact->touch->a->name} {$contact->touch->how->value} ".
                "{$contact->touch->b->name}. {$contact->judged->why}";
        }
    }
    foreach ($assessment->findings as $finding) {
        if ($finding->under !== null) {
            continue;
        }
        $lines[] = line($finding, $words);
        foreach ($assessment->findings as $follows) {
            if ($follows->under === $finding->key()) {
                $lines[] = sprintf('         so, %s: %s', $follows->severity->value, $words->of($follows)['title']);
            }
        }
        if (isset($accepted[$finding->key()])) {
            $lines[] = "         accepted by {$accepted[$finding->key()]->by}: {$accepted[$finding->key()]->reason}";
        }
    }

    return implode("\n", $lines).
        "\n\nComputed, not approved: local code, the makers' instructions and licensed practice decide.\n";
}

function line(Finding $finding, Words $words): string
{
    $text = $words->of($finding);

    return sprintf(
        "\n%-8s %s\n         %s\n         %s  [%s]",
        strtoupper($finding->severity->value),
        $text['title'],
        $text['reason'],
        $finding->subject,
        $finding->source->name,
    );
}

$arguments = array_slice($argv, 1);
$files = array_values(array_filter($arguments, fn (string $a): bool => $a !== '--json'));
if (count($files) !== 1) {
    fwrite(STDERR, "usage: ./apron check FILE [--json]     FILE may be - for standard input\n");
    exit(2);
}
guarded($files[0], function () use ($files, $arguments): int {
    [$project, $assessment, $words] = assess($files[0]);
    echo in_array('--json', $arguments, true)
        ? json_encode(
            $assessment->toArray($words),
            JSON_PRETTY_PRINT |
                JSON_UNESCAPED_UNICODE |
                JSON_UNESCAPED_SLASHES |
                JSON_THROW_ON_ERROR |
                JSON_PRESERVE_ZERO_FRACTION,
        )."\n"
        : table($project, $assessment, $words);

    return $assessment->fails() ? 1 : 0;
});
