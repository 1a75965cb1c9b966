<?php

declare(strict_types=1);

// What the bench sets beside `apron check`: a public library that only validates the same file against its schema.

require dirname(__DIR__).'/vendor/autoload.php';

$schema = file_get_contents(dirname(__DIR__).'/docs/formats/project.schema.json');
var_dump((new Opis\JsonSchema\Validator)->validate(json_decode(file_get_contents($argv[1])), $schema)->isValid());
