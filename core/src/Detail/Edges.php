<?php

declare(strict_types=1);

namespace Apron\Detail;

/** What is said of the edges of a patch or of all patches of a piece; the rest is left at the kind's default. */
final readonly class Edges
{
    /** @param  array<string, Edge|list<EdgeRun>>  $stated by side */
    public function __construct(public array $stated = [])
    {
    }

    /** The same on all four sides. */
    public static function all(Edge $edge): self
    {
        return new self(['left' => $edge, 'right' => $edge, 'top' => $edge, 'bottom' => $edge]);
    }

    /** How an edge holds at one place along it, or null where nothing is said. */
    public function at(Side $side, float $along): ?Edge
    {
        $stated = $this->stated[$side->value] ?? null;
        if ($stated === null || $stated instanceof Edge) {
            return $stated;
        }
        foreach ($stated as $run) {
            if ($along >= $run->from && $along <= $run->to) {
                return $run->edge;
            }
        }

        return null;
    }
}
