<?php

declare(strict_types=1);

// A package older than this PHP: what PHP advises it against is heard here, once, and not in the midst of a test.
(function (): void {
    $level = error_reporting(E_ALL & ~E_DEPRECATED);
    foreach (
        [
            Sabre\VObject\Component\VCalendar::class,
            Sabre\VObject\Component\VEvent::class,
            Sabre\VObject\Property\ICalendar\Date::class,
            Sabre\VObject\Property\ICalendar\DateTime::class,
            Sabre\VObject\Property\FlatText::class,
            Sabre\VObject\Parameter::class,
            Sabre\VObject\ElementList::class,
            Sabre\VObject\Reader::class,
        ] as $class
    ) {
        class_exists($class);
    }
    error_reporting($level);
})();

// Two run at once, each against an instance of its own.
if (is_string(getenv('TEST_TOKEN'))) {
    putenv('APRON_URL='.getenv('APRON_URL_'.getenv('TEST_TOKEN')));
}

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');

require_once __DIR__.'/Support.php';
require_once __DIR__.'/Feature/Support.php';
