<?php

declare(strict_types=1);

use App\Models\Project;
use App\Project\SiteEvents;
use Apron\Inspection\Fault;
use Apron\Inspection\SiteRecord;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Facades\Storage;

/** @return list<array{string, string, string}> words, weight and state of the faults of a project */
function faultsOf(Project $project): array
{
    return array_map(
        fn (Fault $f): array => [(string) $f->raised->words, $f->severity->value, $f->state()->value],
        (new SiteRecord(SiteEvents::of($project)))->faults(),
    );
}

function asUpload(string $bytes): UploadedFile
{
    file_put_contents($path = tempnam(sys_get_temp_dir(), 'bcf'), $bytes);

    return new UploadedFile($path, 'faults.bcf', null, null, true);
}

/** A file of one topic as another program might write it. */
function aBcf(string $markup, bool $isOne = true): string
{
    $zip = new ZipArchive;
    $zip->open($path = tempnam(sys_get_temp_dir(), 'bcf'), ZipArchive::OVERWRITE);
    $isOne && $zip->addFromString('bcf.version', '<?xml version="1.0"?><Version VersionId="2.1"/>');
    $zip->addFromString('7ddc3ef0-0ab7-43f1-918a-45e38b42369c/markup.bcf', $markup);
    $zip->close();

    return (string) file_get_contents($path);
}

beforeEach(function () {
    Storage::fake('files');
    [$this->project, $this->consultant] = practice();
    $this->actingAs($this->consultant);
    $this->path = "/api/projects/{$this->project->id}/faults.bcf";
    $visit = ['id' => 'v', 'kind' => 'visit', 'visit' => 'v', 'at' => '2026-11-20T08:00:00Z'];
    $image = imagecreatetruecolor(64, 48);
    imagepng($image, $file = tempnam(sys_get_temp_dir(), 'apron').'.png');
    $sha = $this->post("/api/projects/{$this->project->id}/photographs", [
        'photograph' => new UploadedFile($file, 'a.png', 'image/png', null, true),
    ], ['Accept' => 'application/json'])->json('sha256');
    $raise = fn (string $id, string $words, string $severity): array => compact('id', 'words', 'severity') +
        ['kind' => 'fault-raised', 'visit' => 'v', 'at' => '2026-11-20T09:00:00Z'];
    $this->postJson("/api/projects/{$this->project->id}/site/events", ['events' => [
        $visit,
        $raise('a', "Tear <beside> the sill & under it\nas long as a hand", 'fail'),
        $raise('b', 'Tape not rolled', 'caution'),
        ['id' => 'p', 'kind' => 'photograph', 'visit' => 'v', 'fault' => 'a', 'photographs' => [$sha]] +
            ['at' => '2026-11-20T09:05:00Z'],
        ['id' => 'c', 'kind' => 'fault-repaired', 'visit' => 'v', 'fault' => 'b', 'words' => 'rolled'] +
            ['at' => '2026-11-20T10:00:00Z'],
        ['id' => 'd', 'kind' => 'fault-reinspected', 'visit' => 'v', 'fault' => 'b', 'passes' => true] +
            ['at' => '2026-11-20T11:00:00Z'],
    ]])->assertOk();
    $this->bring = fn (string $path, string $bytes) => $this->post($path, ['file' => asUpload($bytes)], [
        'Accept' => 'application/json',
    ]);
});

it('writes faults as BCF 2.1 and reads them back in another project, with words, weight, state and picture', function () {
    $bytes = $this->get($this->path)->assertOk()->streamedContent();
    file_put_contents($file = tempnam(sys_get_temp_dir(), 'bcf'), $bytes);
    $zip = new ZipArchive;
    $zip->open($file);
    $names = array_map(fn (int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
    expect($names)->toContain('bcf.version', 'project.bcfp')->and(preg_grep('#/markup\.bcf$#', $names))->toHaveCount(
        count(faultsOf($this->project)),
    );
    foreach (preg_grep('#/markup\.bcf$#', $names) as $name) {
        $xml = simplexml_load_string((string) $zip->getFromName($name));
        // The order of elements that the schema of BCF 2.1 asks for.
        $order = ['Title', 'Priority', 'Labels', 'CreationDate', 'CreationAuthor', 'Description'];
        $there = [];
        foreach ($xml->Topic->children() as $element) {
            $there[] = $element->getName();
        }
        expect($there)->toBe(array_values(array_intersect($order, $there)));
    }
    expect(preg_grep('#/snapshot\.png$#', $names))->not->toBe([]);

    [$other] = practice();
    $other->update(['organisation_id' => $this->project->organisation_id]);
    $before = faultsOf($other);
    $told = ($this->bring)("/api/projects/{$other->id}/faults.bcf", $bytes)->assertOk()->json();
    $came = array_slice(faultsOf($other), count($before));
    expect($told['new'])
        ->toBe(count($came))
        ->and($came)
        ->toEqualCanonicalizing(array_map(
            // Repaired and not yet seen again is open to another program, and comes in open.
            fn (array $f): array => [$f[0], $f[1], $f[2] === 'repaired' ? 'open' : $f[2]],
            faultsOf($this->project),
        ))
        ->and($other->photographs()->count())
        ->toBe(count(preg_grep('#/snapshot\.png$#', $names)) > 0 ? 1 : 0);
    // Again: nothing is doubled.
    $again = ($this->bring)("/api/projects/{$other->id}/faults.bcf", $bytes)->assertOk()->json();
    expect($again)->toBe(['new' => 0, 'known' => count($came), 'closed' => 0])
        ->and(count(faultsOf($other)))
        ->toBe(count($before) + count($came));
});

it('closes a fault that another program has closed, and keeps what it was', function () {
    $bytes = $this->get($this->path)->streamedContent();
    file_put_contents($file = tempnam(sys_get_temp_dir(), 'bcf'), $bytes);
    $zip = new ZipArchive;
    $zip->open($file);
    for ($i = 0; $i < $zip->numFiles; $i++) {
        $name = (string) $zip->getNameIndex($i);
        $text = (string) $zip->getFromIndex($i);
        str_contains($text, 'Tear') && $zip->addFromString($name, str_replace('"Open"', '"Closed"', $text));
    }
    $zip->close();
    $told = ($this->bring)($this->path, (string) file_get_contents($file))->assertOk()->json();
    expect($told['closed'])->toBe(1)->and($told['new'])->toBe(0);
    $tear = array_values(array_filter(faultsOf($this->project), fn (array $f): bool => str_contains($f[0], 'Tear')));
    expect($tear[0][2])->toBe('closed');
});

it('takes what another program wrote', function () {
    $markup = '<?xml version="1.0"?><Markup><Topic Guid="7ddc3ef0-0ab7-43f1-918a-45e38b42369c" TopicStatus="Active">'.
        '<Title>Wet board</Title><Priority>Critical</Priority><CreationDate>2026-10-01T00:00:00Z</CreationDate>'.
        '<CreationAuthor>x</CreationAuthor></Topic></Markup>';
    ($this->bring)($this->path, aBcf($markup))->assertOk()->assertJson(['new' => 1]);
    expect(faultsOf($this->project))->toContain(['Wet board', 'fail', 'open']);
});

it('closes what another program closed without words', function () {
    $markup = '<?xml version="1.0"?><Markup><Topic Guid="7ddc3ef0-0ab7-43f1-918a-45e38b42369c" TopicStatus="Closed">'.
        '<Title>Wet board</Title></Topic><Comment><Comment> </Comment></Comment></Markup>';
    ($this->bring)($this->path, aBcf($markup))->assertOk()->assertJson(['new' => 1]);
    expect(faultsOf($this->project))->toContain(['Wet board', 'caution', 'closed']);
});

it('refuses what is no BCF, or would read more than itself', function (string $markup, bool $isOne) {
    $before = faultsOf($this->project);
    ($this->bring)($this->path, aBcf($markup, $isOne))->assertStatus(422);
    expect(faultsOf($this->project))->toBe($before);
})->with([
    'no version' => ['<Markup><Topic><Title>x</Title></Topic></Markup>', false],
    'no XML' => ['wet', true],
    'no topic' => ['<Markup/>', true],
    'no words' => ['<Markup><Topic><Title> </Title></Topic></Markup>', true],
    'an entity' => [
        '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/hostname">]><Markup><Topic><Title>&e;</Title></Topic></Markup>',
        true,
    ],
]);

/**
 * The markup with something in it changed by chance: a piece left out, said twice, or replaced by what none should
 * write.
 */
function changedByChance(string $markup): string
{
    $odd = ['', ' ', '<', '&', '&#0;', '&#x1F;', "\xff\xfe", '<![CDATA[', ']]>'];
    array_push($odd, '-1', '9e999', str_repeat('x', 5000), 'é', '💧');
    for ($n = mt_rand(1, 3); $n > 0; $n--) {
        $at = mt_rand(0, strlen($markup));
        $long = mt_rand(0, 60);
        $piece = substr($markup, $at, $long);
        $markup = substr($markup, 0, $at).
            match (mt_rand(0, 2)) {
                0 => '',
                1 => $piece.$piece,
                default => $odd[array_rand($odd)],
            }.
            substr($markup, $at + $long);
    }

    return $markup;
}

it('takes a file that was changed by chance or refuses it with its reason, and then nothing of it', function () {
    mt_srand(19);
    $this->withoutMiddleware(ThrottleRequests::class);
    $bytes = $this->get($this->path)->streamedContent();
    file_put_contents($file = tempnam(sys_get_temp_dir(), 'bcf'), $bytes);
    $zip = new ZipArchive;
    $zip->open($file);
    $name = array_values(preg_grep(
        '#/markup\.bcf$#',
        array_map(fn (int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1)),
    ))[0];
    $markup = (string) $zip->getFromName($name);
    $outcomes = [200 => 0, 422 => 0];
    for ($n = 0; $n < 300; $n++) {
        if ($n % 3 === 0) {
            $sent = $bytes;
            for ($k = mt_rand(1, 8); $k > 0; $k--) {
                $sent[mt_rand(0, strlen($sent) - 1)] = chr(mt_rand(0, 255));
            }
        } else {
            $sent = aBcf(changedByChance($markup));
        }
        $before = SiteEvents::of($this->project);
        $answer = ($this->bring)($this->path, $sent);
        expect($answer->status())->toBeIn([200, 422]);
        $outcomes[$answer->status()]++;
        if ($answer->status() === 422) {
            expect($answer->json('message'))
                ->toBeString()
                ->not->toBe('')
                ->and(SiteEvents::of($this->project))
                ->toEqual($before);
        }
    }
    // Both happen, or it was no test.
    expect(min($outcomes))->toBeGreaterThan(30);
});

it('gives every reading with what was asked, as CSV', function () {
    $csv = $this->get("/api/projects/{$this->project->id}/readings.csv")->assertOk()->getContent();
    $read = fn (string $line): array => str_getcsv($line, ',', '"', '');
    $rows = array_map($read, explode("\n", trim(substr($csv, 3))));
    $site = $this->getJson("/api/projects/{$this->project->id}/site")->json('checks');
    expect(count($rows) - 1)->toBe(array_sum(array_map(fn (array $c): int => count($c['readings']), $site)));
    expect($rows[0][0])->toBe('check');
});
