<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/**
 * What the description of an operation needs beside its path: parameters from the path itself, answers in a line each.
 */
final class Described
{
    /** What a query may carry anywhere: units as they are to be shown. */
    private const QUERIES = [
        'units' => ['type' => 'string', 'enum' => ['si', 'us']],
        'paths' => ['type' => 'string', 'enum' => ['all', 'none']],
        'seed' => ['type' => 'integer'],
        'find' => ['type' => 'string'],
        'page' => ['type' => 'integer'],
        'month' => ['type' => 'integer', 'minimum' => 1, 'maximum' => 12],
        'start' => ['type' => 'string', 'format' => 'date'],
        'gauge' => ['type' => 'string', 'enum' => ['pins', 'film', 'thermometer']],
        'count' => ['type' => 'integer', 'minimum' => 1, 'maximum' => 200],
        'with' => ['type' => 'string'],
        'before' => ['type' => 'string', 'format' => 'date-time'],
        'by' => ['type' => 'string', 'enum' => ['part']],
        'hands' => ['type' => 'integer', 'minimum' => 1, 'maximum' => 60],
    ];

    /**
     * @param  list<string>  $queries  names of those above
     * @return list<OA\Parameter>
     */
    public static function parameters(string $path, array $queries): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $names);

        return [
            ...array_map(
                fn (string $name): OA\Parameter => new OA\PathParameter(
                    name: $name,
                    schema: new OA\Schema(type: 'string'),
                ),
                $names[1],
            ),
            ...array_map(
                fn (string $name): OA\Parameter => new OA\QueryParameter(
                    name: $name,
                    schema: new OA\Schema(...self::QUERIES[$name]),
                ),
                $queries,
            ),
        ];
    }

    /**
     * @param  array<int, string|array{string, string}>  $answers  status => what it means, or that and the schema of
     *   its JSON; a list of them is `Name[]`
     * @return list<OA\Response>
     */
    public static function answers(array $answers): array
    {
        $described = [];
        foreach ($answers as $status => $answer) {
            // What is refused is always told in the same shape.
            $usual = $status >= 400 ? 'Refusal' : null;
            [$says, $schema] = is_array($answer) ? $answer : [$answer, $usual];
            $described[] = new OA\Response(
                response: $status,
                description: $says,
                content: $schema === null ? null : self::json($schema),
            );
        }

        return $described;
    }

    private static function json(string $schema): OA\JsonContent
    {
        $one = rtrim($schema, '[]');

        return match (true) {
            $schema === $one => new OA\JsonContent(ref: "#/components/schemas/$one"),
            $one === 'int' => new OA\JsonContent(type: 'array', items: new OA\Items(type: 'integer')),
            default => new OA\JsonContent(type: 'array', items: new OA\Items(ref: "#/components/schemas/$one")),
        };
    }
}
