<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Opening\Part;

/** Every way of dressing the inside of an opening, the usual first: a new one is a class and its line here. */
final class Dressings
{
    /** @var array<string, class-string<Part>> */
    public const ALL = [
        'formed-pan' => FormedPan::class,
        'slit-strips' => SlitStrips::class,
        'moulded-corners' => MouldedCorners::class,
        'fluid-coat' => FluidCoat::class,
        'sheet-strips' => SheetStrips::class,
        'metal-pan' => MetalPan::class,
    ];
}
