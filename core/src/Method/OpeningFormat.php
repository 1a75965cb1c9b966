<?php

declare(strict_types=1);

namespace Apron\Method;

use Apron\Brief\Brief;
use Apron\Detail\DetailFormat;
use Apron\Drafting\CannotGenerate;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Material\Materials;

/** A row of the opening schedule, read by making its detail and written as it was stated. */
final class OpeningFormat
{
    /** @throws FileRefused */
    public static function read(Node $node, Materials $materials, Brief $brief): ScheduledOpening
    {
        $needed = ['id', 'title', 'generator', 'parameters'];
        $node->object([...$needed, 'between'], $needed);
        [$id, $title] = [$node->get('id')->id(), $node->get('title')->text()];
        $generator = Methods::all()[$node->get('generator')->word(Methods::openings())];
        $given = $node->get('parameters');
        $parameters = DetailFormat::figures($given);
        try {
            $detail = Methods::make($generator->name(), $id, $title, $parameters, $brief, $materials);
        } catch (CannotGenerate $wrong) {
            ($given->has($wrong->parameter) ? $given->get($wrong->parameter) : $given)->refuse(
                $wrong->expected,
                $given->has($wrong->parameter) ? null : "{$wrong->parameter} {$wrong->value}",
            );
        }

        $between = DetailFormat::between($node->optional('between'));

        return new ScheduledOpening($id, $title, $generator->name(), $parameters, $detail, $between);
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
        ]);
    }
}
