<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\CannotLay;
use Apron\Detail\Detail;
use Apron\Detail\Layout;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;
use Apron\Trace\Check\AirLine;
use Apron\Trace\Check\Backing;
use Apron\Trace\Check\Corners;
use Apron\Trace\Check\GapVolumes;
use Apron\Trace\Check\HeadCheck;
use Apron\Trace\Check\Laps;
use Apron\Trace\Check\RainPaths;
use Apron\Trace\Check\SillCheck;
use Apron\Trace\Check\ThreeSided;
use Apron\Trace\Check\VerticalJoints;

/** One detail: where its water goes, and the other checks on the same model. */
final class DetailAssessment implements Assessed
{
    /** Every check of a detail, in the order in which their findings are told. */
    private const CHECKS = [
        RainPaths::class,
        Laps::class,
        VerticalJoints::class,
        Corners::class,
        HeadCheck::class,
        SillCheck::class,
        AirLine::class,
        GapVolumes::class,
        Backing::class,
        ThreeSided::class,
    ];

    public readonly Rain $rain;

    /** @var list<StripResult> */
    public readonly array $strips;

    /** @var array<class-string<DetailCheck>, DetailCheck> */
    private readonly array $checks;

    /** @var list<Finding>|null */
    private ?array $findings = null;

    /**
     * @param  list<Finding>  $besides  what else is known of it: that it does not fit its wall
     *
     * @throws CannotLay
     */
    public function __construct(
        public readonly Detail $detail,
        School $school = new School,
        private readonly array $besides = [],
    ) {
        $this->rain = new Rain(new Layout($detail), $school);
        $checks = [];
        foreach (self::CHECKS as $check) {
            $checks[$check] = $check::of($this->rain);
        }
        $this->checks = $checks;
        $this->strips = $this->of(RainPaths::class)->strips;
        $this->rain->forget();
    }

    /**
     * @template T of DetailCheck
     *
     * @param  class-string<T>  $check
     * @return T
     */
    public function of(string $check): DetailCheck
    {
        /** @var T */
        return $this->checks[$check];
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
        $told = array_merge(
            ...array_map(fn (DetailCheck $check): array => $check->told(), array_values($this->checks)),
        );

        return [
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
        ] + $told;
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
        if ($this->findings === null) {
            $this->findings = $this->all();
            // Of five hundred openings only what is said of them is kept.
            $this->rain->forget();
        }

        return $this->findings;
    }

    /** @return list<Finding> what every check says, and that it is sound where none says otherwise */
    private function all(): array
    {
        $checked = array_map(fn (DetailCheck $c): array => $c->findings(), array_values($this->checks));
        $said = array_merge($this->besides, ...$checked);
        foreach ($said as $finding) {
            if ($finding->severity->rank() <= Severity::Caution->rank()) {
                return $said;
            }
        }
        $strips = ['count' => count($this->strips)];

        return [
            ...$said,
            new Finding('detail.sound', Severity::Pass, $this->rain->subject(), $strips, self::trace()),
        ];
    }

    private static function trace(): Source
    {
        return RainPaths::source();
    }
}
