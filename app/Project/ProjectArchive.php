<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use App\Models\User;
use Apron\Json\Broken;
use Apron\Json\FileRefused;
use Apron\Json\Written;
use Apron\Project\DocumentSection;
use Apron\Project\ProjectFormat;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use ZipArchive;

/** A whole project as one ZIP: its file, and its photographs by the hash of their content. */
final class ProjectArchive
{
    private const FILE = 'project.json';

    private const BROKEN = 'cannot-be-read.json';

    /** A ZIP keeps times in steps of two seconds from 1980 on; one fixed time keeps the bytes the same. */
    private const TIME = 315619200;

    private const MOST_BYTES = 512 * 1024 * 1024;

    /** A project file of 500 openings and ten thousand readings is under 10 MB. */
    private const MOST_JSON = 32 * 1024 * 1024;

    private const MOST_PHOTOGRAPHS = 5000;

    public function __construct(
        private readonly ProjectImport $import,
        private readonly StoredProject $stored,
        private readonly PhotographIntake $intake,
    ) {
    }

    /** @return string the path of a temporary file */
    public function export(Project $project): string
    {
        $path = tempnam(sys_get_temp_dir(), 'apron');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        $core = $this->stored->open($project);
        $this->add($zip, self::FILE, ProjectFormat::write($core));
        if ($core->broken !== []) {
            $this->add($zip, self::BROKEN, $this->broken($project, $core->broken));
        }
        foreach ($project->photographs()->get() as $photograph) {
            $this->add($zip, "photographs/{$photograph->sha256}.jpg", (string) Storage::get($photograph->path()));
        }
        $zip->close();

        return $path;
    }

    /**
     * All of it or nothing: the project with its photographs, in one transaction.
     *
     * @throws FileRefused
     */
    public function import(string $path, User $by): Project
    {
        if (! str_starts_with((string) file_get_contents($path, length: 4), "PK\x03\x04")) {
            $this->demandSize((int) filesize($path));

            return $this->keep((string) file_get_contents($path), $by, null);
        }
        $zip = new ZipArchive;
        $file = $zip->open($path, ZipArchive::RDONLY) === true ? $zip->statName(self::FILE) : false;
        if ($file === false) {
            throw new FileRefused(
                '',
                'a ZIP without '.self::FILE,
                'a project file, or a ZIP that this application wrote',
            );
        }
        $this->demandSize($file['size']);

        return $this->keep((string) $zip->getFromName(self::FILE), $by, $zip);
    }

    private function demandSize(int $bytes): void
    {
        if ($bytes > self::MOST_JSON) {
            throw new FileRefused(
                '',
                sprintf('a project file of %.1f MB', $bytes / 1e6),
                sprintf('one of at most %.0f MB', self::MOST_JSON / 1e6),
            );
        }
    }

    private function keep(string $json, User $by, ?ZipArchive $zip): Project
    {
        return DB::transaction(function () use ($json, $by, $zip): Project {
            $photographs = $zip === null ? [] : $this->photographs($zip);
            $renamed = [];
            foreach ($photographs as $digest => $drawn) {
                $now = hash('sha256', $drawn);
                if ($now !== (string) $digest) {
                    $renamed[(string) $digest] = $now;
                }
            }
            // Drawn anew, a photograph has another digest: the events that name it name the new one.
            $project = $this->import->parse($renamed === [] ? $json : strtr($json, $renamed), $by);
            if ($zip !== null) {
                $this->demandPhotographs($project, $photographs);
            }
            foreach ($photographs as $drawn) {
                $this->intake->keep($project, $drawn, $by);
            }

            return $project;
        });
    }

    /** @return array<string, string> bytes as they are kept, by the digest in the archive */
    private function photographs(ZipArchive $zip): array
    {
        $photographs = [];
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            if (preg_match('#^photographs/([0-9a-f]{64})\.jpg$#D', (string) $zip->getNameIndex($i), $m) !== 1) {
                continue;
            }
            $bytes += $zip->statIndex($i)['size'] ?? 0;
            if ($bytes > self::MOST_BYTES || count($photographs) >= self::MOST_PHOTOGRAPHS) {
                throw new FileRefused(
                    '',
                    'a ZIP that unpacks to more than 512 MiB, or more than '.
                        self::MOST_PHOTOGRAPHS.
                        ' photographs',
                    'a project of at most that size',
                );
            }
            $photograph = (string) $zip->getFromIndex($i);
            if (hash('sha256', $photograph) !== $m[1]) {
                throw new FileRefused(
                    '',
                    "photographs/$m[1].jpg does not match its name",
                    'a photograph whose SHA-256 is its name',
                );
            }
            $photographs[$m[1]] = $this->intake->fromArchive($photograph);
        }

        return $photographs;
    }

    /** @param  array<string, string>  $photographs */
    private function demandPhotographs(Project $project, array $photographs): void
    {
        $there = array_fill_keys(array_map(fn (string $drawn): string => hash('sha256', $drawn), $photographs), true);
        foreach (SiteEvents::of($project) as $event) {
            foreach ($event->photographs as $digest) {
                if (! isset($there[$digest])) {
                    throw new FileRefused(
                        "/site/events/{$event->id}/photographs",
                        $digest,
                        'a photograph that is in the ZIP',
                    );
                }
            }
        }
    }

    /**
     * What no longer can be read goes along as it is stored, beside the file and not in it.
     *
     * @param  list<Broken>  $broken
     */
    private function broken(Project $project, array $broken): string
    {
        $rows = [];
        foreach ($broken as $one) {
            $kinds = array_map(
                fn (DocumentSection $s): string => $s->kind(),
                array_filter(
                    $this->stored->sections->documents(),
                    fn (DocumentSection $s): bool => $s->section() === $one->section,
                ),
            );
            $document = $project->documents()->whereIn('kind', $kinds)->where('key', $one->id)->first();
            $rows[] = [
                'section' => $one->section,
                'id' => $one->id,
                'why' => $one->why->getMessage(),
                'content' => $document?->decoded(),
            ];
        }

        return Written::json($rows);
    }

    private function add(ZipArchive $zip, string $name, string $bytes): void
    {
        $zip->addFromString($name, $bytes);
        $zip->setMtimeName($name, self::TIME);
        $zip->setCompressionName($name, ZipArchive::CM_DEFLATE, 9);
    }
}
