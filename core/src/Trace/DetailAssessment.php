<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\CannotLay;
use Apron\Detail\Detail;
use Apron\Detail\Layout;
use Apron\Detail\Rect;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Words;

/** One detail: where its water goes, and the other checks on the same model. */
final class DetailAssessment implements Assessed
{
    public readonly Rain $rain;

    /** @var list<StripResult> */
    public readonly array $strips;

    /** @var list<Lap> */
    public readonly array $laps;

    /**
     * @var list<array{facet: string, u: float, v: array{float, float}, verdict: Severity, left: string, right: string}>
     */
    public readonly array $joints;

    /** @var array<string, Severity> */
    public readonly array $corners;

    /** @var array<string, Severity> */
    public readonly array $head;

    /** @var array<string, Severity> */
    public readonly array $sill;

    /** @var array<string, bool> */
    public readonly array $air;

    /**
     * @var list<array{what: string, facet: string, one: string, other: string, rect: Rect}> laps and joints with no
     *   framing behind them
     */
    public readonly array $unbacked;

    /** @var list<array{piece: string, facet: string, gap: Rect}> sealant stuck on three sides */
    public readonly array $threeSided;

    /**
     * @var list<array{gap: string, facet: string|null, rect: Rect|null, through: list<string>}> where outdoor air gets
     *   through the gaps to the room
     */
    public readonly array $leaks;

    /** @var list<Finding>|null */
    private ?array $findings = null;

    /** @throws CannotLay */
    public function __construct(public readonly Detail $detail, School $school = new School)
    {
        $layout = new Layout($detail);
        $this->rain = new Rain($layout, $school);
        $this->strips = Releases::of($this->rain);
        $this->laps = Laps::of($layout, $this->rain->strips);
        $this->joints = VerticalJoints::of($layout);
        $this->corners = Corners::of($layout);
        $this->head = HeadCheck::of($this->rain);
        $this->sill = SillCheck::of($layout, $school->weatherSealed);
        $this->air = AirLine::of($layout);
        $this->unbacked = Backing::missing($layout);
        $this->threeSided = ThreeSided::of($layout);
        $this->leaks = GapVolumes::leaks($layout);
    }

    public function worst(): Outcome
    {
        $worst = Outcome::Shed;
        foreach ($this->strips as $strip) {
            $worst = $worst->worse($strip->outcome);
        }

        return $worst;
    }

    /**
     * The worst of its findings, so that a list of details and the list of findings never say two things; a note where
     * water is recovered.
     */
    public function severity(): Severity
    {
        $worst = Severity::Pass;
        $said = [
            ...array_map(fn (Finding $f): Severity => $f->severity, $this->findings()),
            ...array_map(fn (StripResult $s): Severity => $s->severity, $this->strips),
        ];
        foreach ($said as $severity) {
            $worst = $severity->rank() < $worst->rank() ? $severity : $worst;
        }

        return $worst;
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(Words $words): array
    {
        $shape = [
            'id' => $this->detail->id,
            'worst' => $this->worst()->told(),
            'severity' => $this->severity()->value,
            'strips' => array_map(
                fn (StripResult $s): array => [
                    'source' => $s->source,
                    'facet' => $s->facet,
                    'u' => [$s->u0, $s->u1],
                    'outcome' => $s->outcome->told(),
                    'severity' => $s->severity->value,
                    'lines' => $s->lines,
                    'path' => self::path($s->told(), $words),
                ],
                $this->strips,
            ),
            'laps' => array_map(fn (Lap $lap): array => $lap->toArray(), $this->laps),
            'joints' => array_map(
                fn (array $j): array => [
                    'facet' => $j['facet'],
                    'u' => $j['u'],
                    'v' => $j['v'],
                    'verdict' => $j['verdict']->value,
                ],
                $this->joints,
            ),
        ];
        if ($this->detail->opening !== null) {
            $shape += ['corners' => self::told($this->corners)];
        }
        $shape['head'] = (object) self::told($this->head);
        if ($this->detail->gaps !== []) {
            $shape['leaks'] = array_map(
                fn (array $l): array => [
                    'gap' => $l['gap'],
                    'facet' => $l['facet'],
                    'rect' => $l['rect']?->toArray(),
                    'through' => $l['through'],
                ],
                $this->leaks,
            );
        }

        return $this->detail->opening === null
            ? $shape
            : $shape + ['sill' => self::told($this->sill), 'air' => $this->air];
    }

    /**
     * @param  array<string, Severity>  $severities
     * @return array<string, string>
     */
    private static function told(array $severities): array
    {
        return array_map(fn (Severity $s): string => $s->value, $severities);
    }

    /** @return list<string> */
    public static function path(Run $run, Words $words): array
    {
        return array_map(
            fn (array $e): string => $words->text($e['code'], 'title', [
                'piece' => $e['at'],
                'up_mm' => $e['elevation'],
            ]),
            $run->path,
        );
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return $this->findings ??= (new DetailFindings($this))->all();
    }
}
