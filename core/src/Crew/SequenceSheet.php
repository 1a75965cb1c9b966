<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\Detail;
use Apron\Detail\DetailWriter;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\Reasons;
use Apron\Detail\Rect;
use Apron\Detail\Step;
use Apron\Inspection\Check;
use Apron\Inspection\CheckFormat;
use Apron\Inspection\DetailChecks;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Words;
use Apron\Sealant\WetFilm;
use Apron\Trace\Check\Laps;
use Apron\Trace\DetailAssessment;
use Apron\Trace\HalfBuilt;
use Apron\Trace\Lap;
use Apron\Trace\Outcome;
use Apron\Trace\School;
use Apron\Trace\StripResult;

/** One detail as its sheet, its step cards and the report show it: the file's shape with the words put to it. */
final class SequenceSheet
{
    /**
     * @param  list<Finding>  $besides  what else is known of it: that it does not fit its wall
     * @return array<string, mixed>
     */
    public static function of(
        Detail $detail,
        Words $words,
        School $school = new School,
        array $besides = [],
    ): array {
        $assessed = new DetailAssessment($detail, $school, $besides);

        return [
            'detail' => DetailWriter::write($detail),
            'order' => self::order($assessed->rain->layout),
            'usual_edges' => self::usualEdges($detail),
            'families' => self::families($detail),
            'materials' => self::materials($detail),
            'names' => self::names($detail, $words),
            'facets' => (object) self::facets($detail, $words),
            'steps' => array_map(
                fn (Step $step, array $card): array => [
                    'number' => $step->number,
                    'does' => $step->does,
                    ...self::step($step, $words, $school),
                    'pieces' => array_map(
                        fn (array $piece): array => self::card(
                            $piece['piece'],
                            $piece['facets'],
                            $piece['laps'],
                            $words,
                            $school,
                        ),
                        $card['pieces'],
                    ),
                ],
                $detail->steps,
                StepCards::of($detail, $assessed->of(Laps::class)->laps),
            ),
            'cut_list' => CutList::of($detail),
            'rolls' => (new Rolls)->of($detail),
            'cut_tolerance' => $words->text('handling.tolerance', 'cut', [
                'cut_mm' => RuleFigures::of('checks')->figure('cut_tolerance_mm'),
            ]),
            'framer' => array_map(
                fn (array $told): array => array_diff_key($told, ['what' => '']),
                FramersList::told($detail, $words),
            ),
            'checks' => array_map(
                fn (Check $check): array => CheckFormat::told($check, $words),
                DetailChecks::of($detail),
            ),
            'findings' => array_map(
                fn (Finding $finding): array => ['severity' => $finding->severity->value, 'key' => $finding->key()] +
                    $words->of($finding),
                Finding::worstFirst($assessed->findings()),
            ),
            'reasons' => array_map(
                fn (array $r): array => [
                    'before' => $r['before'],
                    'after' => $r['after'],
                    'why' => $words->text($r['why'], 'title', ['inner' => $r['inner'], 'outer' => $r['outer']]),
                ],
                Reasons::of($detail),
            ),
            'rain' => array_map(fn (array $state): array => self::rain($state, $words), HalfBuilt::eachStep($detail)),
        ];
    }

    /** @return array<string, string> what a step is and how it is done, as the project's schools have it */
    private static function step(Step $step, Words $words, School $school): array
    {
        $does = $words->coded($step->does, $school->answers);

        return [
            'title' => self::said($words, $does, 'title', $step->figures),
            'short' => self::said($words, $does, 'short', $step->figures),
            'how' => self::said($words, $does, 'reason', $step->figures),
            'caution' => self::said($words, $does, 'remedy', $step->figures),
        ];
    }

    /**
     * @param  array{step: int, worst: Outcome, safe: bool, wets: list<string>, strips: list<StripResult>,
     *   cover: Rect|null}  $state
     * @return array<string, mixed>
     */
    private static function rain(array $state, Words $words): array
    {
        return [
            'step' => $state['step'],
            'worst' => $state['worst']->told(),
            'safe' => $state['safe'],
            'cover' => $state['cover'] === null
                    ? null
                    : [$state['cover']->u0, $state['cover']->v0, $state['cover']->u1, $state['cover']->v1],
            'wets' => array_map(fn (string $facet): string => $words->listed('facet', $facet), $state['wets']),
            'strips' => array_map(
                fn (StripResult $strip): array => [
                    'source' => $strip->source,
                    'facet' => $strip->facet,
                    'u' => [$strip->u0, $strip->u1],
                    'outcome' => $strip->outcome->told(),
                    'severity' => $strip->severity->value,
                    'lines' => $strip->lines,
                    'path' => DetailAssessment::path($strip->told(), $words),
                    'at' => array_combine(['facet', 'u', 'v'], $strip->told()->worstAt()),
                    'route' => array_map(
                        fn (array $at): array => ['facet' => $at[0], 'u' => $at[1], 'v' => $at[2]],
                        $strip->told()->route,
                    ),
                ],
                $state['strips'],
            ),
        ];
    }

    /**
     * @param  list<string>  $facets
     * @param  list<Lap>  $laps
     * @return array<string, mixed>
     */
    private static function card(Piece $piece, array $facets, array $laps, Words $words, School $school): array
    {
        $like = [];
        foreach ($laps as $lap) {
            $row = [
                'over' => $lap->outer === $piece->id,
                'other' => $lap->outer === $piece->id ? $lap->inner : $lap->outer,
                'lap_mm' => $lap->size,
                'least_mm' => $lap->least,
            ];
            $like[implode(' ', [$row['over'], $row['other'], $lap->size])] = $row;
        }
        $code = 'handling.'.$piece->kind->value;

        return [
            'id' => $piece->id,
            'on' => array_map(fn (string $facet): string => $words->listed('facet', $facet), $facets),
            'laps' => array_values($like),
            'press' => self::said($words, $words->coded($code, $school->answers), 'press', []),
            'prime' => self::said($words, $code, 'prime', []),
            'wait' => self::said($words, $code, 'wait', []),
            'check' => self::said($words, $code, 'check', []),
            'coat' => $piece->kind === PieceKind::Fluid ? self::coat($piece, $words) : '',
        ];
    }

    /** What a coat is laid to, by the usual film and solids where no data sheet says otherwise. */
    private static function coat(Piece $piece, Words $words): string
    {
        $figures = RuleFigures::of('coats');
        [$wet, $solids] = [$figures->figure('wet_coat_mm'), $figures->figure('solids_share')];
        $film = new WetFilm($wet * $solids, $solids);
        $area =
            array_sum(array_map(fn (Patch $p): float => $p->rect->width() * $p->rect->height(), $piece->patches)) /
            1e6;

        return $words->text('handling.coat', 'coat', [
            'wet_mm' => $wet,
            'dry_mm' => $film->dryMm,
            'on_area_m2' => $area,
            'takes_litres' => $film->litres($area, $figures->figure('loss_share')),
        ]);
    }

    /** @return list<string> patches as they lie on each facet, innermost first, one facet after the other */
    private static function order(Layout $layout): array
    {
        return array_map(fn (Laid $laid): string => $laid->patch->id, $layout->all());
    }

    /** @return array<string, string> how an edge of each kind of its pieces holds where nothing is said */
    private static function usualEdges(Detail $detail): array
    {
        $edges = [];
        foreach ($detail->pieces as $piece) {
            $edges[$piece->kind->value] = $piece->kind->edge()->value;
        }

        return $edges;
    }

    /** @param  array<string, float|int|string>  $figures */
    private static function said(Words $words, string $code, string $part, array $figures): string
    {
        return $words->has($code)
            ? $words->text($code, $part, $figures)
            : ($part === 'title' || $part === 'short'
                ? $code
                : '');
    }

    /** @return array<string, string> */
    private static function families(Detail $detail): array
    {
        $families = [];
        foreach ($detail->pieces as $piece) {
            $families[$piece->id] = $piece->material->family->id ?? '';
        }

        return $families;
    }

    /** @return array<string, string> */
    private static function materials(Detail $detail): array
    {
        $names = [];
        foreach ($detail->pieces as $piece) {
            $names[$piece->id] = $piece->material->name;
        }

        return $names;
    }

    /** @return array<string, string> */
    private static function facets(Detail $detail, Words $words): array
    {
        $names = [];
        foreach (array_keys($detail->facets) as $facet) {
            // Behind a board there are two faces: the sheathing's and its own.
            $names[$facet] = $words->listed(
                'facet',
                $facet === 'face' && ($detail->opening->outerBoard ?? 0.0) > 0 ? 'sheathing' : (string) $facet,
            );
        }

        return $names;
    }

    /** @return array<string, string> */
    private static function names(Detail $detail, Words $words): array
    {
        $names = [];
        foreach ($detail->pieces as $piece) {
            $names[$piece->id] = $words->listed('piece', $piece->id);
        }

        return $names;
    }
}
