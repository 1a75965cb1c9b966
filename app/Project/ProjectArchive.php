<?php

namespace App\Project;

use App\Models\Project;
use App\Models\User;
use Apron\File\FileRefused;
use Apron\File\ProjectFormat;
use Illuminate\Support\Facades\Storage;
use ZipArchive;

/** A whole project as one ZIP: its file, and its photographs by the hash of their content. */
final class ProjectArchive
{
    private const FILE = 'project.json';

    /** A ZIP keeps times in steps of two seconds from 1980 on; one fixed time keeps the bytes the same. */
    private const TIME = 315619200;

    private const MOST_BYTES = 512 * 1024 * 1024;

    public function __construct(private readonly ProjectStore $store, private readonly PhotographIntake $intake)
    {
    }

    /** @return string the path of a temporary file */
    public function export(Project $project): string
    {
        $path = tempnam(sys_get_temp_dir(), 'apron');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        $this->add($zip, self::FILE, ProjectFormat::write($this->store->open($project)));
        foreach ($project->photographs()->get() as $photograph) {
            $this->add($zip, "photographs/{$photograph->sha256}.jpg", (string) Storage::get($photograph->path()));
        }
        $zip->close();

        return $path;
    }

    /** @throws FileRefused */
    public function import(string $path, User $by): Project
    {
        if (! str_starts_with((string) file_get_contents($path, length: 4), "PK\x03\x04")) {
            return $this->importFile((string) file_get_contents($path), $by, []);
        }
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true || ($json = $zip->getFromName(self::FILE)) === false) {
            throw new FileRefused('', 'a ZIP without '.self::FILE, 'a project file, or a ZIP that this application wrote');
        }
        $photographs = [];
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $name = (string) $zip->getNameIndex($i);
            $bytes += $zip->statIndex($i)['size'] ?? 0;
            if ($bytes > self::MOST_BYTES) {
                throw new FileRefused('', 'a ZIP that unpacks to more than 512 MiB', 'a project of at most that size');
            }
            if (preg_match('#^photographs/([0-9a-f]{64})\.jpg$#', $name, $m) === 1) {
                $photographs[$m[1]] = (string) $zip->getFromIndex($i);
            }
        }

        return $this->importFile($json, $by, $photographs);
    }

    /** @param  array<string, string>  $photographs bytes by digest */
    private function importFile(string $json, User $by, array $photographs): Project
    {
        foreach ($photographs as $digest => $bytes) {
            if (hash('sha256', $bytes) !== (string) $digest) {
                throw new FileRefused('', "photographs/$digest.jpg does not match its name", 'a photograph whose SHA-256 is its name');
            }
        }
        $project = $this->store->import($json, $by);
        foreach ($photographs as $bytes) {
            $this->intake->keep($project, $bytes);
        }

        return $project;
    }

    private function add(ZipArchive $zip, string $name, string $bytes): void
    {
        $zip->addFromString($name, $bytes);
        $zip->setMtimeName($name, self::TIME);
        $zip->setCompressionName($name, ZipArchive::CM_DEFLATE, 9);
    }
}
