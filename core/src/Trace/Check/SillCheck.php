<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\Edge;
use Apron\Detail\Layout;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Side;
use Apron\Detail\SillPitch;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Rain;

/** The sill of an opening: its joints, its fall, and the pan with its ends. */
final readonly class SillCheck implements DetailCheck
{
    /** @var array<string, string> what is looked at => code of the finding */
    private const CODES = [
        'outer_joint' => 'sill.outer-joint',
        'inner_seal' => 'sill.inner-seal',
        'pitch' => 'sill.pitch',
        'end_dams' => 'sill.end-dams',
        'pan_upturn' => 'sill.pan-upturn',
    ];

    /** @param  array<string, Severity>  $sill by what is looked at; empty where there is no opening */
    private function __construct(private Rain $rain, public array $sill)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain->layout, $rain->school->weatherSealed));
    }

    public function findings(): array
    {
        $findings = [];
        foreach ($this->hasUnitOrPan() ? $this->sill : [] as $what => $verdict) {
            if ($verdict->rank() <= Severity::Caution->rank()) {
                $findings[] = new Finding(
                    self::CODES[$what],
                    $verdict,
                    $this->rain->subject(),
                    [],
                    Source::commonPractice(),
                );
            }
        }

        return $findings;
    }

    public function told(): array
    {
        return $this->sill === [] ? [] : ['sill' => array_map(fn (Severity $s): string => $s->value, $this->sill)];
    }

    /** A rough opening that nothing has been set into yet has no sill to judge. */
    private function hasUnitOrPan(): bool
    {
        foreach ($this->rain->layout->detail->pieces as $piece) {
            if ($piece->kind === PieceKind::Unit || $piece->role === PieceRole::Pan) {
                return true;
            }
        }

        return $this->rain->layout->detail->unit !== null;
    }

    /**
     * @param  bool  $weatherSealed  whether the project is of the school that seals the outer joint on all four sides
     * @return array<string, Severity>
     */
    private static function found(Layout $layout, bool $weatherSealed): array
    {
        $opening = $layout->detail->opening;
        if ($opening === null) {
            return [];
        }
        $found = [];
        $unit = $layout->detail->unit;
        $joint = $unit->joints['sill'] ?? null;
        if ($unit !== null) {
            $bath = ($joint !== null && $joint->outer === Edge::Sealed) || self::flangeSealed($layout, $unit->flange);
            $onAllSides =
                count($unit->joints) === 4 &&
                array_filter($unit->joints, fn ($j): bool => $j->outer !== Edge::Sealed || ! $j->inner) === [];
            $found['outer_joint'] = ! $bath
                ? Severity::Pass
                : ($weatherSealed && $onAllSides
                    ? Severity::Caution
                    : Severity::Fail);
        }
        if ($joint !== null) {
            $found['inner_seal'] = $joint->inner ? Severity::Pass : Severity::Fail;
        }
        $found['pitch'] = match ($opening->sillPitch) {
            SillPitch::Out => $opening->sillFall + $opening->backDam < $opening->headOfWater
                ? Severity::Caution
                : Severity::Pass,
            SillPitch::Level => Severity::Caution,
            SillPitch::In => Severity::Fail,
        };

        return [...$found, ...self::pan($layout, $opening->width)];
    }

    /** A flange whose bottom holds all along makes the pan a bath. */
    private static function flangeSealed(Layout $layout, ?string $flange): bool
    {
        foreach ($flange === null ? [] : $layout->of[$flange] as $laid) {
            if ($laid->patch->facet === 'face' && $laid->rect()->v0 <= 0) {
                return $laid->holdsAlong(Side::Bottom);
            }
        }

        return false;
    }

    /** @return array{end_dams: Severity, pan_upturn: Severity} */
    private static function pan(Layout $layout, float $width): array
    {
        $ends = ['jamb-left' => 0.0, 'jamb-right' => 0.0];
        foreach ($layout->facet('sill') as $sill) {
            if ($sill->piece->role !== PieceRole::Pan) {
                continue;
            }
            foreach ($sill->joined as $up) {
                $facet = $up->patch->facet;
                $reaches =
                    ($facet === 'jamb-left' && $sill->rect()->u0 <= 0) ||
                    ($facet === 'jamb-right' && $sill->rect()->u1 >= $width);
                if ($reaches && $up->rect()->v0 <= 0) {
                    $ends[$facet] = max($ends[$facet], $up->rect()->v1);
                }
            }
        }
        $least = $layout->detail->panUpturn ?? RuleFigures::of('openings.figures')->figure('pan_upturn_mm');
        $upturn = min($ends);

        return [
            'end_dams' => $upturn > 0 ? Severity::Pass : Severity::Fail,
            'pan_upturn' => Severity::ofLeast($upturn, $least),
        ];
    }
}
