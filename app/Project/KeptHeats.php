<?php

declare(strict_types=1);

namespace App\Project;

use Apron\Conduction\HeatCatalogue;
use Apron\Conduction\HeatKeeper;
use Apron\Conduction\PlanePicture;
use Apron\Conduction\PlaneSection;
use Apron\Conduction\SectionHeat;
use Illuminate\Support\Facades\Cache;

/** Results of sections, and their pictures, in the cache, whoever asked first. */
final class KeptHeats implements HeatKeeper
{
    public function find(string $hash): ?SectionHeat
    {
        $kept = Cache::get("section $hash");

        return is_array($kept) ? new SectionHeat($kept['psi'], $kept['factor'], $kept['changed']) : null;
    }

    /** @return array<string, mixed> temperatures of a section on a grid that a page can draw */
    public static function picture(PlaneSection $section): array
    {
        return Cache::rememberForever(
            'picture '.SectionHeat::hash($section),
            fn (): array => PlanePicture::of(HeatCatalogue::solved($section)),
        );
    }

    public function keep(string $hash, SectionHeat $heat): void
    {
        Cache::forever("section $hash", get_object_vars($heat));
    }
}
