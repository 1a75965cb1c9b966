<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Json\FileRefused;
use Apron\Json\Node;

/** A test in the field as `apron-project/1` writes it. A test that is none is read, and judged not valid. */
final class TestFormat
{
    private const MOST_POINTS = 500;

    private const MOST_FLOW = 1e7;

    private const TARGETS = ['n50_1_h', 'q50_m3_h_m2', 'q75_l_s_m2'];

    /** @throws FileRefused */
    public static function read(Node $node): TestSheet
    {
        $head = TestHead::read($node);

        return match ($head->kind) {
            TestKind::Fan => self::fan($node, $head),
            TestKind::Water => WaterTest::read($node, $head),
            TestKind::Smoke => SmokeTest::read($node, $head),
            TestKind::Adhesion => AdhesionTest::read($node, $head),
            TestKind::Film => FilmTest::read($node, $head),
            TestKind::Moisture => MoistureTest::read($node, $head),
        };
    }

    private static function fan(Node $node, TestHead $head): FanSheet
    {
        $node->object(
            [
                ...TestHead::KEYS, 'convention', 'points', 'zero_flow_before_pa', 'zero_flow_after_pa', 'indoor_c',
                'outdoor_c', 'barometer_pa', 'indoor_rh_pct', 'outdoor_rh_pct', 'volume_m3', 'envelope_m2', 'target',
                'leaks', 'other_way',
            ],
            ['id', 'kind', 'points', 'indoor_c', 'outdoor_c'],
        );
        $percent = fn (string $key): ?float => $node->optional($key)?->between(0.0, 100.0, '%');

        return new FanSheet(
            head: $head,
            convention: FanConvention::from(
                $node->optional('convention')?->word(array_column(FanConvention::cases(), 'value'))
                    ?? FanConvention::Iso9972->value,
            ),
            points: array_map(self::point(...), $node->get('points')->listOf(self::MOST_POINTS)->items()),
            before: self::pressures($node->optional('zero_flow_before_pa')),
            after: self::pressures($node->optional('zero_flow_after_pa')),
            indoors: $node->get('indoor_c')->between(-60.0, 60.0, '°C'),
            outdoors: $node->get('outdoor_c')->between(-60.0, 60.0, '°C'),
            barometer: $node->optional('barometer_pa')?->between(50000.0, 120000.0, 'Pa') ?? 101325.0,
            indoorHumidity: $percent('indoor_rh_pct'),
            outdoorHumidity: $percent('outdoor_rh_pct'),
            volume: $node->optional('volume_m3')?->positive(1e7, 'm³', 0.1),
            envelope: $node->optional('envelope_m2')?->positive(1e7, 'm²', 0.1),
            targets: self::targets($node->optional('target')),
            leaks: array_map(Leak::read(...), $node->optional('leaks')?->listOf(self::MOST_POINTS)->items() ?? []),
            otherWay: $node->optional('other_way')?->id(),
        );
    }

    /** @return array{pressure: float, flow: float, weight?: float} */
    private static function point(Node $row): array
    {
        $row->object(['pressure_pa', 'flow_m3_h', 'weight'], ['pressure_pa', 'flow_m3_h']);
        $weight = $row->optional('weight')?->positive(1e9, 'of weight', 1e-9);

        return [
            'pressure' => $row->get('pressure_pa')->between(-1000.0, 1000.0, 'Pa'),
            'flow' => $row->get('flow_m3_h')->between(0.0, self::MOST_FLOW, 'm³/h'),
        ] + ($weight === null ? [] : ['weight' => $weight]);
    }

    /** @return list<float> */
    private static function pressures(?Node $node): array
    {
        return array_map(
            fn (Node $pa): float => $pa->between(-200.0, 200.0, 'Pa'),
            $node?->listOf(self::MOST_POINTS)->items() ?? [],
        );
    }

    /** @return array<string, float> */
    private static function targets(?Node $node): array
    {
        $node?->object(self::TARGETS);
        $targets = [];
        foreach (self::TARGETS as $name) {
            $said = $node?->optional($name)?->positive(1e4, 'of that figure', 1e-4);
            if ($said !== null) {
                $targets[$name] = $said;
            }
        }

        return $targets;
    }

    /** @return array<string, mixed> */
    public static function write(TestSheet $sheet): array
    {
        return $sheet->head->write() + $sheet->write();
    }
}
