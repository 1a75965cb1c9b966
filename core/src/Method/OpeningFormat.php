<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Assembly\Assembly;
use Apron\Brief\Brief;
use Apron\Detail\Detail;
use Apron\Detail\DetailFormat;
use Apron\Drafting\CannotGenerate;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\Materials;
use Apron\Opening\ComposedOpening;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** A row of the opening schedule, read by making its detail and written as it was stated. */
final class OpeningFormat
{
    /**
     * @param  array<string, Assembly>  $assemblies  by id, for those it names
     * @param  list<string>|null  $methods  that it may be made by; those of openings where nothing is said
     *
     * @throws FileRefused
     */
    public static function read(
        Node $node,
        Materials $materials,
        Brief $brief,
        array $assemblies = [],
        ?array $methods = null,
    ): ScheduledOpening {
        $needed = ['id', 'title', 'generator', 'parameters'];
        $node->object([...$needed, 'between', 'seen'], $needed);
        [$id, $title] = [$node->get('id')->id(), $node->get('title')->text()];
        $generator = Methods::all()[$node->get('generator')->word($methods ?? Methods::openings())];
        $parameters = DetailFormat::figures($node->get('parameters'));
        $between = DetailFormat::between($node->optional('between'));
        $seen = $node->has('seen') ? DetailFormat::figures($node->get('seen')) : [];
        $there = array_values(array_intersect_key($assemblies, array_flip($between)));
        $wall = $there === [] ? null : Wall::of($there[0]);
        try {
            [$detail, $refused] = self::made(
                $generator->name(),
                $id,
                $title,
                $parameters,
                $brief,
                $materials,
                $wall,
            );
        } catch (CannotGenerate $wrong) {
            $given = $node->get('parameters');
            ($given->has($wrong->parameter) ? $given->get($wrong->parameter) : $given)->refuse(
                $wrong->expected,
                $given->has($wrong->parameter) ? null : "{$wrong->parameter} {$wrong->value}",
            );
        }
        $findings = [
            ...self::missing($detail, $between, $assemblies),
            ...$refused,
            ...(new InWall($generator, $parameters, $wall, $seen))->findings("details/$id"),
        ];

        return new ScheduledOpening(
            $id,
            $title,
            $generator->name(),
            $parameters,
            $detail,
            $between,
            $seen,
            $findings,
        );
    }

    /**
     * An opening that its wall has outgrown is kept as it states itself, and says so: a wall that is changed breaks
     * nothing that stands in it.
     *
     * @param  array<string, float|string>  $parameters
     * @return array{Detail, list<Finding>}
     *
     * @throws CannotGenerate
     */
    private static function made(
        string $method,
        string $id,
        string $title,
        array $parameters,
        Brief $brief,
        Materials $materials,
        ?Wall $wall,
    ): array {
        try {
            return [Methods::make($method, $id, $title, $parameters, $brief, $materials, $wall), []];
        } catch (CannotGenerate $wrong) {
            if ($wall === null) {
                throw $wrong;
            }
            $stated = $parameters + ['depth_mm' => $wall->depth];
            $composed = Methods::named($method);
            if ($composed instanceof ComposedOpening && $wall->plane !== null && ! $composed->states('plane')) {
                $stated += ['plane' => $wall->plane];
            }
            $refused = new Finding(
                'opening.not-in-wall',
                Severity::Fail,
                "details/$id",
                ['wall' => $wall->name, 'expected' => $wrong->getMessage()],
                Source::commonPractice(),
            );

            return [Methods::make($method, $id, $title, $stated, $brief, $materials), [$refused]];
        }
    }

    /**
     * @param  list<string>  $between
     * @param  array<string, Assembly>  $assemblies
     * @return list<Finding>
     */
    private static function missing(Detail $detail, array $between, array $assemblies): array
    {
        return array_map(
            fn (string $id): Finding => new Finding(
                'opening.no-such-wall',
                Severity::Fail,
                "details/$detail->id",
                ['wall' => $id],
                Source::commonPractice(),
                $id,
            ),
            array_values(array_diff($between, array_map(strval(...), array_keys($assemblies)))),
        );
    }

    /** @return array<string, mixed> */
    public static function write(ScheduledOpening $row): array
    {
        return Written::without([
            'id' => $row->id,
            'title' => $row->title,
            'generator' => $row->generator,
            'parameters' => (object) $row->parameters,
            'between' => $row->between,
            'seen' => $row->seen,
        ]);
    }
}
