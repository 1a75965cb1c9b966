<?php

declare(strict_types=1);

namespace Apron\Brief;

use Apron\Climate\ClimateFormat;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Rows;
use Apron\Json\Written;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Schools;

/** The brief as `apron-project/1` writes it: `project`, `climate`, `indoor` and `conditions`. */
final class BriefFormat
{
    public const KEYS = ['project', 'climate', 'indoor', 'conditions'];

    /** Cases tried on every assembly; more would be a study and not a brief. */
    private const MOST_CONDITIONS = 50;

    /**
     * @param  Node  $file  the whole file
     * @param  Rows  $rows  how a part that cannot be read is taken
     *
     * @throws FileRefused
     */
    public static function read(Node $file, Rows $rows): Brief
    {
        $head = $file->get('project')->object(
            ['name', 'units', 'schools', 'wind_pressure_pa', 'air_target'],
            ['name', 'units'],
        );
        $one = fn (callable $read): mixed => $rows->one('brief', null, $read);
        /** @var \Apron\Climate\Climate|null $climate */
        $climate = $file->has('climate') ? $one(fn () => ClimateFormat::climate($file->get('climate'))) : null;
        /** @var array<string, string>|null $schools */
        $schools = $one(fn () => self::schools($head->optional('schools')));
        /** @var float|null $wind */
        $wind = $one(fn () => $head->optional('wind_pressure_pa')?->positive(5000, 'Pa', 0.1));
        /** @var AirTarget|null $airTarget */
        $airTarget = $one(fn () => self::airTarget($head->optional('air_target')));
        /** @var \Apron\Climate\IndoorAir|null $indoors */
        $indoors = $file->has('indoor') ? $one(fn () => ClimateFormat::indoors($file->get('indoor'), $climate)) : null;

        return new Brief(
            name: $head->get('name')->text(),
            units: $head->get('units')->oneOf(UnitSystem::class),
            schools: $schools ?? [],
            windPressure: $wind,
            climate: $climate,
            indoors: $indoors,
            conditions: $rows->all(
                'brief',
                $file->optional('conditions')?->listOf(self::MOST_CONDITIONS),
                ClimateFormat::condition(...),
            ),
            airTarget: $airTarget,
        );
    }

    private static function airTarget(?Node $node): ?AirTarget
    {
        if ($node === null) {
            return null;
        }
        $node->object(array_column(AirTargetUnit::cases(), 'value'));
        $said = array_values(
            array_filter(AirTargetUnit::cases(), fn (AirTargetUnit $unit): bool => $node->has($unit->value)),
        );
        if (count($said) !== 1) {
            $node->refuse('one target, as {"n50_1_h": 0.6}');
        }

        return new AirTarget(
            $said[0],
            $node->get($said[0]->value)->between(0.01, $said[0]->most(), $said[0]->unit()),
        );
    }

    /** @return array<string, mixed> by key of the file; what is not settled is left out */
    public static function write(Brief $brief): array
    {
        return Written::without([
            'project' => Written::without([
                'name' => $brief->name,
                'units' => $brief->units->value,
                'schools' => $brief->schools,
                'wind_pressure_pa' => $brief->windPressure,
                'air_target' => $brief->airTarget === null
                    ? null
                    : [$brief->airTarget->unit->value => $brief->airTarget->value],
            ]),
            'climate' => $brief->climate === null ? null : ClimateFormat::writeClimate($brief->climate),
            'indoor' => $brief->indoors === null ? null : ClimateFormat::writeIndoors($brief->indoors),
            'conditions' => array_map(ClimateFormat::writeCondition(...), $brief->conditions),
        ]);
    }

    /** @return array<string, string> */
    private static function schools(?Node $node): array
    {
        $schools = [];
        foreach ($node?->object(array_keys(Schools::answers()))->entries() ?? [] as $question => $choice) {
            $schools[$question] = $choice->word(Schools::answers()[$question]);
        }

        return $schools;
    }
}
