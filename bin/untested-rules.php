<?php

declare(strict_types=1);

// Writes docs/contacts-untested.md: the contact rules that no case would miss.

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/../tests/Core/Contact/Untested.php';

file_put_contents(dirname(__DIR__).'/docs/contacts-untested.md', Untested::page());
