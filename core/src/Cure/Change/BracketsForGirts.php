<?php

declare(strict_types=1);

namespace Apron\Cure\Change;

use Apron\Assembly\Assembly;
use Apron\Assembly\Bridge;
use Apron\Cure\Change;
use Apron\Cure\CureKind;
use Apron\Cure\Series;
use Apron\Cure\Step;
use Apron\Cure\Trial;
use Apron\Json\CoreData;
use Apron\Rules\RuleFigures;
use Apron\Rules\Source;

/** Brackets with a break in the place of girts that go right through the insulation. */
final class BracketsForGirts implements Change
{
    public function series(Trial $trial, Assembly $assembly): array
    {
        $series = [];
        foreach ($assembly->reckonedLayers() as $at => $layer) {
            $steps = [];
            foreach ($layer->bridges === [] ? [] : self::brackets() as $bracket) {
                $worst = $layer->bridges[0];
                $kept = [];
                foreach ($layer->bridges as $bridge) {
                    $worst = $bridge->addedU() > $worst->addedU() ? $bridge : $worst;
                }
                foreach ($layer->bridges as $bridge) {
                    $kept[] = $bridge === $worst ? $bracket : $bridge;
                }
                if ($bracket->addedU() < $worst->addedU()) {
                    $steps[] = new Step($assembly->withLayer($at, $layer->bridgedBy($kept)), null, [
                        'bridge' => ucfirst($bracket->name),
                        'from' => $worst->name,
                    ]);
                }
            }
            if ($steps !== []) {
                $series[] = new Series(CureKind::Brackets, '', $layer->id, $steps);
            }
        }

        return $series;
    }

    /** @return list<Bridge> of those that a project starts with, the ones the trade reaches for */
    private static function brackets(): array
    {
        $brackets = [];
        foreach (CoreData::read('starts')->get('bridges')->items() as $row) {
            $name = $row->get('name')->text();
            if (RuleFigures::of('cures')->lists('brackets', $name)) {
                $brackets[] = Bridge::point(
                    $name,
                    $row->get('chi_w_k')->number(),
                    $row->get('per_m2')->number(),
                    Source::commonPractice('common practice: typical brackets'),
                );
            }
        }

        return $brackets;
    }
}
