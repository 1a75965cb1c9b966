<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Json\FileRefused;
use Apron\Json\Node;

/** The facets of a detail by name, and what a file may say of places on them. */
final readonly class Facets
{
    /** @param  array<string, Facet>  $all  by name */
    public function __construct(public array $all)
    {
    }

    /** @throws FileRefused */
    public static function read(Node $node): self
    {
        $facets = [];
        foreach ($node->entries() as $name => $facet) {
            $facet->object(['u', 'v'], ['u', 'v']);
            [$u, $v] = [$facet->get('u')->numbers(2), $facet->get('v')->numbers(2)];
            if ($u[0] >= $u[1] || $v[0] >= $v[1]) {
                $facet->refuse('two rising numbers for u and for v');
            }
            if (max(abs($u[0]), abs($u[1]), abs($v[0]), abs($v[1])) > 2 * DetailFormat::LONGEST_MM) {
                $facet->refuse(sprintf('a facet within %g mm of its origin', 2 * DetailFormat::LONGEST_MM));
            }
            $facets[$name] = new Facet($name, new Rect($u[0], $v[0], $u[1], $v[1]));
        }
        if ($facets === []) {
            $node->refuse('at least one facet', 'none');
        }

        return new self($facets);
    }

    public function facet(Node $node): string
    {
        return $node->word(array_map(strval(...), array_keys($this->all)));
    }

    public function rect(Node $node, string $facet): Rect
    {
        [$u0, $v0, $u1, $v1] = $node->numbers(4);
        $rect = new Rect($u0, $v0, $u1, $v1);
        if ($rect->width() <= 0 || $rect->height() <= 0) {
            $node->refuse(
                '[u0, v0, u1, v1] with u0 < u1 and v0 < v1',
                json_encode($rect->toArray(), JSON_THROW_ON_ERROR),
            );
        }
        $extent = $this->all[$facet]->extent;
        if (! $extent->contains($rect)) {
            $node->refuse(
                sprintf(
                    'a rectangle within the facet “%s”, u %g to %g and v %g to %g',
                    $facet,
                    $extent->u0,
                    $extent->u1,
                    $extent->v0,
                    $extent->v1,
                ),
                json_encode($rect->toArray(), JSON_THROW_ON_ERROR),
            );
        }

        return $rect;
    }
}
