<?php

declare(strict_types=1);

use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;

it('puts figures into words in the reader’s units, and names out of lists', function () {
    $finding = new Finding(
        'surface.mould',
        Severity::Fail,
        'assemblies/w1',
        ['frsi' => 0.6512, 'least' => 0.72, 'month' => 11],
        Source::computed('x'),
    );
    expect((new Words(UnitSystem::SI))->of($finding)['reason'])->toBe(
        'Its temperature factor is 0.65; in November at least 0.72 is needed.',
    );
    $short = new Finding(
        'site.reading-short',
        Severity::Caution,
        'site/checks/x',
        [
            'detail' => 'O4',
            'title' => 'Pan upturn, left',
            'count' => 2,
            'read_mm' => 127.0,
            'least_mm' => 152.4,
            'short_mm' => 25.4,
        ],
        Source::computed('x'),
    );
    expect((new Words(UnitSystem::US))->of($short)['title'])
        ->toBe('Short by 1 in: Pan upturn, left')
        ->and((new Words(UnitSystem::SI))->of($short)['reason'])
        ->toBe('On O4 the least of 2 read is 127 mm; at least 152 mm is asked.');
});

it('refuses words that are missing, and figures that the words name and nobody gave', function () {
    $words = new Words(UnitSystem::SI);
    expect(fn () => $words->text('no.such', 'title'))
        ->toThrow(OutOfBoundsException::class, 'no.such')
        ->and(fn () => $words->text('surface.mould', 'reason', ['frsi' => 1]))
        ->toThrow(OutOfBoundsException::class, 'month');
});

it('puts the worst first and keeps the order in which equals were found', function () {
    $of = fn (Severity $severity, string $subject) => new Finding(
        'c',
        $severity,
        $subject,
        [],
        Source::commonPractice(),
    );
    $sorted = Finding::worstFirst([
        $of(Severity::Pass, 'a'),
        $of(Severity::Caution, 'b'),
        $of(Severity::Fail, 'c'),
        $of(Severity::Caution, 'd'),
        $of(Severity::Note, 'e'),
    ]);
    expect(array_map(fn (Finding $f) => $f->subject, $sorted))->toBe(['c', 'b', 'd', 'e', 'a']);
});

it('says what a school leaves unsaid as is usual', function () {
    $words = new Words(UnitSystem::SI);
    $told = 0;
    foreach (['findings', 'cures', 'trace', 'sequence', 'checks', 'handling'] as $file) {
        $rows = json_decode((string) file_get_contents(__DIR__."/../../core/data/words/$file.json"), true);
        foreach (array_filter(array_keys($rows), fn (string $code): bool => str_contains($code, '@')) as $code) {
            foreach (array_keys($rows[strstr($code, '@', true)]) as $part) {
                // A figure that is not given is another matter: the words are there.
                expect(fn () => $words->text($code, $part))->not->toThrow(OutOfBoundsException::class, 'no words for');
                $told++;
            }
        }
    }
    expect($told)
        ->toBeGreaterThan(5)
        ->and($words->text('handling.board@fastener-heads.rely', 'press'))
        ->toBe($words->text('handling.board', 'press'));
});
