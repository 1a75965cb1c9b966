<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\Materials;

/** Field adhesion tests in the project file: under `adhesion`. */
final class AdhesionFormat
{
    /** @throws FileRefused */
    public static function read(Node $node, Materials $materials): AdhesionTest
    {
        $node->object($keys = ['id', 'product', 'on', 'pulls'], $keys);

        return new AdhesionTest(
            $node->get('id')->id(),
            $materials->named($node->get('product'))->id,
            $materials->named($node->get('on'))->id,
            array_map(self::pull(...), $node->get('pulls')->items(1, 500)),
        );
    }

    private static function pull(Node $node): Pull
    {
        $node->object(['at', 'by', 'mode', 'cured_days', 'newtons', 'words'], ['at', 'by', 'mode']);
        $at = $node->get('at');
        $day = date_parse_from_format('Y-m-d', $at->text());
        if ($day['error_count'] + $day['warning_count'] > 0) {
            $at->refuse('a day, as 2026-05-01');
        }

        return new Pull(
            $at->text(),
            $node->get('by')->text(),
            $node->get('mode')->oneOf(AdhesionMode::class),
            $node->optional('cured_days')?->between(0, 36500, 'days'),
            $node->optional('newtons')?->between(0, 10000, 'N'),
            $node->optional('words')?->text(),
        );
    }

    /** @return array<string, mixed> */
    public static function write(AdhesionTest $test): array
    {
        return [
            'id' => $test->id,
            'product' => $test->product,
            'on' => $test->on,
            'pulls' => array_map(
                fn (Pull $pull): array => Written::without([
                    'at' => $pull->at,
                    'by' => $pull->by,
                    'mode' => $pull->mode->value,
                    'cured_days' => $pull->curedDays,
                    'newtons' => $pull->newtons,
                    'words' => $pull->words,
                ]),
                $test->pulls,
            ),
        ];
    }
}
