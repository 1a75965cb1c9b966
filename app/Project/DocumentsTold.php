<?php

namespace App\Project;

use App\Models\DocumentKind;
use Apron\Assembly\Assembly;
use Apron\Detail\Detail;
use Apron\Json\Broken;
use Apron\Judgement\AssemblyAssessment;
use Apron\Project\Assessment;
use Apron\Project\Project as CoreProject;
use Apron\Rules\Finding;
use Apron\Rules\Words;
use Apron\Trace\DetailAssessment;
use Apron\Trace\School;

/** What is said of single documents of a project, each with the materials that it was said of. */
final class DocumentsTold
{
    /** @var array<string, Assembly> */
    private array $assemblies;

    /** @var array<string, Detail> */
    private array $details;

    public function __construct(private readonly CoreProject $core, private readonly Words $words)
    {
        $this->assemblies = array_column($core->assemblies, null, 'id');
        $this->details = array_column($core->details, null, 'id');
    }

    /** @return array{said: array<string, mixed>, materials: list<string>} */
    public function of(DocumentKind $kind, string $key): array
    {
        $broken = $this->broken($kind, $key);
        $said = match (true) {
            $broken !== null => ['findings' => [Assessment::shape(Assessment::broken($broken), $this->words)], 'broken' => $broken->why->getMessage()],
            isset($this->assemblies[$key]) && $kind === DocumentKind::Assembly => $this->assembly($this->assemblies[$key]),
            isset($this->details[$key]) && in_array($kind, [DocumentKind::Detail, DocumentKind::Opening], true) => $this->detail($this->details[$key]),
            $kind === DocumentKind::Brief => ['findings' => [], 'climate' => Assessment::climate($this->core)],
            default => ['findings' => []],
        };

        return ['said' => array_filter($said, fn (mixed $v): bool => $v !== null), 'materials' => $broken === null ? $this->materials($kind, $key) : array_keys($this->core->materials->own)];
    }

    /** @return array<string, mixed> */
    private function assembly(Assembly $assembly): array
    {
        $assessed = new AssemblyAssessment($this->core, $assembly);

        return ['assembly' => $assessed->toArray(), 'findings' => $this->shapes($assessed->findings())];
    }

    /** @return array<string, mixed> */
    private function detail(Detail $detail): array
    {
        $assessed = new DetailAssessment($detail, School::of($this->core->schools));

        return ['findings' => $this->shapes($assessed->findings()), 'checks' => SiteSheet::checks($detail, $this->words, $this->core->materials->catalogue->version)];
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<array<string, mixed>>
     */
    private function shapes(array $findings): array
    {
        return array_map(fn (Finding $finding): array => Assessment::shape($finding, $this->words), $findings);
    }

    private function broken(DocumentKind $kind, string $key): ?Broken
    {
        foreach ($this->core->broken as $broken) {
            if ($kind === DocumentKind::Brief ? $broken->section === 'brief' : $broken->section === $kind->section() && $broken->id === $key) {
                return $broken;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function materials(DocumentKind $kind, string $key): array
    {
        return match ($kind) {
            DocumentKind::Assembly => array_keys($this->assemblies[$key]->materials()),
            DocumentKind::Detail, DocumentKind::Opening => array_keys($this->details[$key]->materials()),
            default => [],
        };
    }
}
