<?php

arch('the core knows nothing of the framework')->expect('Apron')->not->toUse(['Illuminate', 'Symfony', 'App', 'Laravel']);

arch('the core reads and prints only through its formats')->expect(['echo', 'print', 'dd', 'dump', 'var_dump', 'exit', 'die'])->not->toBeUsedIn('Apron');

it('keeps the steps of the interface apart', function () {
    foreach (glob(__DIR__.'/../../resources/js/steps/*/*.ts*') as $file) {
        $own = basename(dirname($file));
        preg_match_all("#from '\.\./([a-z]+)/#", file_get_contents($file), $others);
        expect(array_diff($others[1], [$own]))->toBe([], basename($file));
    }
});
