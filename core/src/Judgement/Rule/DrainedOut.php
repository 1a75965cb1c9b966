<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\DrainEnd;
use Apron\Assembly\DrainPath;
use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** The way of the water outside of the plane: crossed by nothing level, open at the base, led out over heads. */
final class DrainedOut implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $path = DrainPath::of($assessed->assembly);
        if ($path === null || $path->ways === []) {
            return [];
        }
        $layer = $assessed->assembly->layers[$path->ways[0]['at']];
        $found = [];
        if ($path->cutOff()) {
            $found[] = self::say($assessed, $layer, 'drain.level-battens', Severity::Caution);
        }
        if ($path->ends?->base === DrainEnd::Closed) {
            $found[] = self::say($assessed, $layer, 'drain.base-closed', Severity::Fail);
        }
        if ($path->ends?->heads === DrainEnd::Closed) {
            $found[] = self::say($assessed, $layer, 'drain.heads-closed', Severity::Caution);
        }

        return $found;
    }

    private static function say(AssemblyAssessment $assessed, Layer $layer, string $code, Severity $severity): Finding
    {
        return new Finding(
            $code,
            $severity,
            $assessed->subject($layer),
            ['layer' => $layer->material->name, 'members' => $layer->framing->material->name ?? ''],
            Source::commonPractice(),
        );
    }
}
