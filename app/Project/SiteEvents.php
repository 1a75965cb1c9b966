<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Project;
use Apron\Inspection\SiteEvent;
use Apron\Inspection\SiteFormat;

/**
 * The events of a project as the core has them. Each was read and held to the format when it was written, and nothing
 * has changed it since.
 */
final class SiteEvents
{
    /** @return list<SiteEvent> */
    public static function of(Project $project): array
    {
        $events = [];
        foreach ($project->siteEvents()->toBase()->pluck('content') as $content) {
            $event = SiteFormat::written(json_decode($content, true));
            if ($event !== null) {
                $events[] = $event;
            }
        }

        return $events;
    }
}
