<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Assembly\Assembly;
use Apron\Brief\Brief;
use Apron\Detail\DetailFormat;
use Apron\Drafting\CannotGenerate;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\Materials;

/** A row of the schedule, an opening or a junction: read by making its detail and written as it was stated. */
final class OpeningFormat
{
    /**
     * @param  array<string, Assembly>  $assemblies  by id, for those it names
     *
     * @throws FileRefused
     */
    public static function read(
        Node $node,
        Materials $materials,
        Brief $brief,
        array $assemblies = [],
    ): ScheduledOpening {
        $needed = ['id', 'title', 'generator', 'parameters'];
        $node->object([...$needed, 'between', 'seen'], $needed);
        $given = $node->get('parameters');
        $stated = new StatedOpening(
            $node->get('id')->id(),
            $node->get('title')->text(),
            $node->get('generator')->word(array_keys(Methods::all())),
            DetailFormat::figures($given),
            DetailFormat::between($node->optional('between')),
            DetailFormat::figures($node->optional('seen')),
        );
        try {
            return $stated->made($materials, $brief, $assemblies);
        } catch (CannotGenerate $wrong) {
            ($given->has($wrong->parameter) ? $given->get($wrong->parameter) : $given)->refuse(
                $wrong->expected,
                $given->has($wrong->parameter) ? null : "{$wrong->parameter} {$wrong->value}",
            );
        }
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
