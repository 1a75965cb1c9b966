<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Generator;
use Apron\Rules\Words;

/** What a method asks, with the words of a form: one choice may open others. */
final class MethodForm
{
    /**
     * @param  array<string, float|string>  $given
     * @return list<array<string, mixed>> its parameters, each with a label and its answers with their titles
     *
     * @throws CannotGenerate
     */
    public static function of(Generator $method, Words $words, array $given = []): array
    {
        return array_map(
            fn (array $p): array => [
                'label' => $p['situation'] ?? $words->listed($p['kind'] === 'choice' ? 'choice' : 'size', $p['name']),
                'of' => array_map(
                    fn (string $of): array => ['value' => $of, 'title' => $words->answer($p['name'], $of)],
                    $p['of'],
                ),
            ] + $p,
            $method->parameters($given),
        );
    }
}
