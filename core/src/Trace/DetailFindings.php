<?php

declare(strict_types=1);

namespace Apron\Trace;

use Apron\Detail\Gap;
use Apron\Detail\PieceKind;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** What the trace and the checks of a detail come to, said about its pieces. */
final class DetailFindings
{
    private const SILL = [
        'outer_joint' => 'sill.outer-joint',
        'inner_seal' => 'sill.inner-seal',
        'pitch' => 'sill.pitch',
        'end_dams' => 'sill.end-dams',
        'pan_upturn' => 'sill.pan-upturn',
    ];

    private readonly string $subject;

    public function __construct(private readonly DetailAssessment $assessed)
    {
        $this->subject = 'details/'.$assessed->detail->id;
    }

    /** @return list<Finding> */
    public function all(): array
    {
        $findings = [
            ...$this->rain(),
            ...$this->laps(),
            ...$this->joints(),
            ...$this->places(),
            ...$this->air(),
            ...$this->behind(),
        ];
        $sound =
            array_filter($findings, fn (Finding $f): bool => $f->severity->rank() <= Severity::Caution->rank()) === [];

        return $sound
            ? [
                ...$findings,
                new Finding(
                    'detail.sound',
                    Severity::Pass,
                    $this->subject,
                    ['count' => count($this->assessed->strips)],
                    $this->trace(),
                ),
            ]
            : $findings;
    }

    /** @return list<Finding> one for each place where water comes to grief, over all strips that end there */
    private function rain(): array
    {
        $rows = [];
        foreach ($this->assessed->strips as $strip) {
            if ($strip->severity->rank() > Severity::Caution->rank()) {
                continue;
            }
            // Where the substrate bears being wet, what makes it a caution is the seal or bond further on.
            $path = array_filter(
                $strip->told()->path,
                fn (array $event): bool => $event['outcome'] !== Outcome::WetsTolerant,
            );
            $outcome = array_reduce(
                $path,
                fn (Outcome $worst, array $event): Outcome => $worst->worse($event['outcome']),
                Outcome::Shed,
            );
            foreach ($path as $event) {
                if ($event['outcome'] !== $outcome) {
                    continue;
                }
                // Let go at the top or lower down behind the cladding: the same water.
                $source = $strip->source === 'top' ? 'face' : $strip->source;
                $key =
                    self::code($outcome).
                    '|'.
                    $event['at'].
                    '|'.
                    (in_array($source, ['unit', 'fastener'], true) ? $source : 'face');
                // Where it happens, which need not be on the facet it was let go on.
                [$facet, $u] = $strip->told()->worstAt();
                $key .= '|'.$facet;
                [$u0, $u1] = $facet === $strip->facet ? [$strip->u0, $strip->u1] : [$u, $u];
                $row = $rows[$key] ?? [
                    'strip' => $strip,
                    'source' => $source,
                    'facet' => $facet,
                    'outcome' => $outcome,
                    'event' => $event,
                    'from' => $u0,
                    'to' => $u1,
                ];
                $rows[$key] = ['from' => min($row['from'], $u0), 'to' => max($row['to'], $u1)] + $row;
                break;
            }
        }
        $findings = [];
        foreach (
            $rows as [
                'strip' => $strip,
                'source' => $source,
                'facet' => $facet,
                'outcome' => $outcome,
                'event' => $event,
                'from' => $from,
                'to' => $to,
            ]
        ) {
            $findings[] = new Finding(
                self::code($outcome),
                $strip->severity,
                $this->subject,
                [
                    'piece' => $event['at'],
                    'how' => $event['code'],
                    'up_mm' => $event['elevation'],
                    'source' => $source,
                    'facet' => $facet,
                    'from_mm' => $from,
                    'to_mm' => $to,
                    'lines' => $strip->lines ?? 0,
                ],
                $this->trace(),
                $event['at'].'.'.$source.'.'.$facet,
            );
        }

        return $findings;
    }

    private static function code(Outcome $outcome): string
    {
        return match ($outcome) {
            Outcome::Enters => 'rain.enters',
            Outcome::Wets => 'rain.wets',
            Outcome::Trapped => 'rain.trapped',
            Outcome::ReliesOnBond => 'rain.bond',
            Outcome::Ponds => 'rain.ponds',
            default => 'rain.seal',
        };
    }

    /** @return list<Finding> */
    private function laps(): array
    {
        $findings = [];
        $source = Source::commonPractice('least laps of the detail, or of common practice where it brings none');
        foreach ($this->assessed->laps as $lap) {
            $figures = [
                'outer' => $lap->outer,
                'inner' => $lap->inner,
                'lap_mm' => $lap->size,
                'least_mm' => $lap->least ?? 0.0,
            ];
            if ($lap->verdict !== Severity::Pass) {
                $findings["short.$lap->outer.$lap->inner.$lap->facet"] = new Finding(
                    'lap.short',
                    $lap->verdict,
                    $this->subject,
                    $figures,
                    $source,
                    "$lap->outer.$lap->inner.$lap->facet",
                );
            }
            // Trim over a strip, boards over a sheet: measured, but nobody takes them for a lap.
            $rigid = $this->kind($lap->outer) === PieceKind::Board && $this->kind($lap->inner) !== PieceKind::Board;
            if ($lap->reversed && ! $rigid) {
                $findings["reversed.$lap->outer.$lap->inner.$lap->facet"] = new Finding(
                    'lap.reversed',
                    Severity::Note,
                    $this->subject,
                    $figures,
                    $source,
                    "$lap->outer.$lap->inner.$lap->facet",
                );
            }
        }

        return array_values($findings);
    }

    private function kind(string $piece): ?PieceKind
    {
        return $this->assessed->detail->piece($piece)?->kind;
    }

    /** @return list<Finding> */
    private function joints(): array
    {
        $findings = [];
        foreach ($this->assessed->joints as $joint) {
            if ($joint['verdict'] === Severity::Fail) {
                $key = "{$joint['left']}.{$joint['right']}.{$joint['facet']}";
                $findings[$key] ??= new Finding(
                    'joint.open',
                    Severity::Fail,
                    $this->subject,
                    [
                        'left' => $joint['left'],
                        'right' => $joint['right'],
                        'facet' => $joint['facet'],
                        'u_mm' => $joint['u'],
                        'from_mm' => $joint['v'][0],
                        'to_mm' => $joint['v'][1],
                    ],
                    Source::commonPractice(),
                    $key,
                );
            }
        }

        return array_values($findings);
    }

    /** @return list<Finding> corners, head flashings and the sill */
    private function places(): array
    {
        $findings = [];
        foreach ($this->assessed->corners as $corner => $verdict) {
            if ($verdict === Severity::Fail) {
                $findings[] = new Finding(
                    'corner.open',
                    $verdict,
                    $this->subject,
                    ['corner' => $corner],
                    Source::commonPractice(),
                    $corner,
                );
            }
        }
        foreach ($this->assessed->head as $piece => $verdict) {
            if ($verdict->rank() <= Severity::Caution->rank()) {
                $findings[] = new Finding(
                    'head.exposed',
                    $verdict,
                    $this->subject,
                    ['piece' => $piece],
                    Source::commonPractice(),
                    $piece,
                );
            }
        }
        foreach ($this->hasUnitOrPan() ? $this->assessed->sill : [] as $what => $verdict) {
            if ($verdict->rank() <= Severity::Caution->rank()) {
                $findings[] = new Finding(self::SILL[$what], $verdict, $this->subject, [], Source::commonPractice());
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function air(): array
    {
        $findings = [];
        foreach ($this->assessed->detail->unit === null ? [] : $this->assessed->air as $side => $reached) {
            if (! $reached) {
                $findings[] = new Finding(
                    'air.broken',
                    Severity::Caution,
                    $this->subject,
                    ['side' => $side],
                    Source::commonPractice(),
                    $side,
                );
            }
        }
        // An id of several words is read as words.
        $named = fn (string $gap): string => strtr($gap, '-', ' ');
        foreach ($this->assessed->leaks as $leak) {
            $findings[] = new Finding(
                'air.gap',
                Severity::Caution,
                $this->subject,
                [
                    'gap' => $named($leak['gap']),
                    'facet' => $leak['facet'] ?? Gap::OUTDOORS,
                    'through' => implode(' → ', array_map($named, $leak['through'])),
                    'count' => count($leak['through']),
                ],
                Source::commonPractice(
                    'common practice: gaps between layers are one volume wherever nothing seals between them',
                ),
                $leak['gap'].'.'.($leak['facet'] ?? Gap::OUTDOORS),
            );
        }

        return $findings;
    }

    /** @return list<Finding> what has the wrong thing behind it, or nothing */
    private function behind(): array
    {
        $findings = [];
        foreach ($this->assessed->unbacked as $row) {
            $key = "{$row['one']}.{$row['other']}.{$row['facet']}";
            $findings["backing.$key"] ??= new Finding(
                $row['what'] === 'lap' ? 'backing.lap' : 'backing.joint',
                Severity::Caution,
                $this->subject,
                [
                    'one' => $row['one'],
                    'other' => $row['other'],
                    'facet' => $row['facet'],
                    'u_mm' => $row['rect']->u0,
                    'from_mm' => $row['rect']->v0,
                    'to_mm' => $row['rect']->v1,
                ],
                Source::commonPractice(),
                $key,
            );
        }
        foreach ($this->assessed->threeSided as $row) {
            $findings["sealant.{$row['piece']}"] ??= new Finding(
                'sealant.three-sided',
                Severity::Fail,
                $this->subject,
                ['piece' => $row['piece'], 'facet' => $row['facet']],
                Source::commonPractice(),
                $row['piece'],
            );
        }

        return array_values($findings);
    }

    /** A rough opening that nothing has been set into yet has no sill to judge. */
    private function hasUnitOrPan(): bool
    {
        foreach ($this->assessed->detail->pieces as $piece) {
            if ($piece->kind === PieceKind::Unit || $piece->role?->value === 'pan') {
                return true;
            }
        }

        return $this->assessed->detail->unit !== null;
    }

    private function trace(): Source
    {
        return Source::computed(
            'rain trace over the pieces as drawn; wind, wicking and water that runs sideways are outside of it',
        );
    }
}
