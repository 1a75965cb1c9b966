<?php

declare(strict_types=1);

namespace Apron\Judgement\Rule;

use Apron\Assembly\Layer;
use Apron\Judgement\AssemblyAssessment;
use Apron\Judgement\Rule;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;

/** How many of its materials have figures that are from memory, and not from a data sheet. */
final class FiguresFromMemory implements Rule
{
    public function findings(AssemblyAssessment $assessed): array
    {
        $recalled = array_filter(
            $assessed->assembly->layers,
            fn (Layer $layer): bool => $layer->material->source->kind === SourceKind::FromMemory,
        );

        return $recalled === []
            ? []
            : [
                new Finding(
                    'material.from-memory',
                    Severity::Note,
                    $assessed->subject(),
                    [
                        'count' => count($recalled),
                        'of' => count($assessed->assembly->layers),
                    ],
                    Source::of(SourceKind::FromMemory, 'catalogue of generic materials'),
                ),
            ];
    }
}
