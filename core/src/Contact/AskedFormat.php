<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Materials;

/** A pair that is asked about, in the project file: under `asked`. */
final class AskedFormat
{
    private const KEYS = [
        'id',
        'a',
        'b',
        'how',
        'surface_c',
        'damp',
        'dusty',
        'frost',
        'marine',
        'wet_place',
        'service_c',
        'area_ratio',
        'a_over_b',
    ];

    /** @throws FileRefused */
    public static function read(Node $node, Materials $materials): AskedPair
    {
        $node->object(self::KEYS, ['id', 'a', 'b', 'how']);
        $yes = fn (string $key): bool => $node->optional($key)?->boolean() ?? false;

        return new AskedPair(
            $node->get('id')->id(),
            new Touch(
                $materials->named($node->get('a')),
                $materials->named($node->get('b')),
                $node->get('how')->oneOf(How::class),
                new Conditions(
                    surfaceC: $node->optional('surface_c')?->between(-60, 120, '°C'),
                    damp: $yes('damp'),
                    dusty: $yes('dusty'),
                    frost: $yes('frost'),
                    marine: $yes('marine'),
                    wetPlace: $node->optional('wet_place')?->boolean(),
                    serviceC: $node->optional('service_c')?->between(-100, 400, '°C'),
                    areaRatio: $node->optional('area_ratio')?->positive(1e6, 'of the nobler metal to the other', 1e-6),
                ),
                $node->optional('a_over_b')?->boolean() ?? true,
            ),
        );
    }

    /** @return array<string, mixed> */
    public static function write(AskedPair $asked): array
    {
        $c = $asked->touch->conditions;
        $said = [
            'surface_c' => $c->surfaceC,
            'damp' => $c->damp ?: null,
            'dusty' => $c->dusty ?: null,
            'frost' => $c->frost ?: null,
            'marine' => $c->marine ?: null,
            'wet_place' => $c->wetPlace,
            'service_c' => $c->serviceC,
            'area_ratio' => $c->areaRatio,
            'a_over_b' => $asked->touch->aOverB ? null : false,
        ];

        return [
            'id' => $asked->id,
            'a' => $asked->touch->a->id,
            'b' => $asked->touch->b->id,
            'how' => $asked->touch->how->value,
        ] + array_filter($said, fn (mixed $value): bool => $value !== null);
    }
}
