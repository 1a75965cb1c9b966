<?php

declare(strict_types=1);

use Apron\Json\CoreData;
use Apron\Json\Node;

afterEach(fn () => CoreData::keepIn(null));

$files = [];
foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(CoreData::path(''))) as $file) {
    if ($file->getExtension() === 'json') {
        $name = substr($file->getPathname(), strlen(CoreData::path('')), -strlen('.json'));
        $files[$name] = [$name];
    }
}

it('ships nothing that its kept form would read otherwise', function (string $name): void {
    $text = (string) file_get_contents(CoreData::path("$name.json"));
    $alike = function (mixed $a, mixed $b) use (&$alike): bool {
        if ($a instanceof stdClass) {
            // An object with no keys, or with the keys of a list, would come back as a list.
            return is_array($b)
                && ! array_is_list($b)
                && $alike(array_values(get_object_vars($a)), array_values($b))
                && array_map('strval', array_keys(get_object_vars($a))) === array_map('strval', array_keys($b));
        }

        return is_array($a)
            ? is_array($b) && array_is_list($b) && count($a) === count($b)
                && ! in_array(false, array_map($alike, $a, $b), true)
            : $a === $b;
    };
    expect($alike(json_decode($text), CoreData::rows($name)))->toBeTrue();
})->with($files);

it('reads the same from the file and from what was kept of it, and anew when the file has changed', function (): void {
    $folder = sys_get_temp_dir().'/core-data-'.bin2hex(random_bytes(4));
    CoreData::keepIn($folder);
    $kept = CoreData::rows('figures/checks');
    $again = CoreData::rows('figures/checks');
    CoreData::keepIn(null);
    expect($kept)->toBe(CoreData::rows('figures/checks'))->and($again)->toBe($kept);
    $files = glob("$folder/*");
    expect($files)->toHaveCount(1);

    // As though the file had been another when it was kept.
    rename($files[0], "$folder/figures.checks@1-1.php");
    CoreData::keepIn($folder);
    expect(CoreData::rows('figures/checks'))->toBe($kept)->and(glob("$folder/*"))->toBe($files);
    array_map(unlink(...), glob("$folder/*"));
    rmdir($folder);
});

it('reads the file itself where nothing can be kept', function (): void {
    CoreData::keepIn('/dev/null/nowhere');
    expect(CoreData::read('figures/checks'))->toBeInstanceOf(Node::class);
});

it('comes to each object of a kept document as though it had been parsed', function (): void {
    $node = Node::kept(['rows' => [['id' => 'a', 'of' => ['x' => 1.5]]]]);
    $row = $node->get('rows')->items(1)[0];
    expect($row->named())->toBe('a')
        ->and(array_keys($row->object(['id', 'of'])->get('of')->entries()))->toBe(['x'])
        ->and($row->get('of')->get('x')->number())->toBe(1.5);
});
