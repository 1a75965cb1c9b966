<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Detail\CutSize;
use Apron\Detail\Edges;
use Apron\Detail\LeastLap;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Detail\Step;
use Apron\Material\Material;

/** Pieces, patches, steps and least laps, written as briefly as a method needs them. */
final class Lay
{
    /**
     * @param  array{float|int, float|int, float|int, float|int}  $rect
     * @param  list<string>  $joined
     */
    public static function patch(
        string $id,
        string $facet,
        array $rect,
        array $joined,
        int $step,
        ?Edges $edges = null,
        bool $drain = false,
    ): Patch {
        return new Patch(
            $id,
            $facet,
            new Rect(...array_map(floatval(...), $rect)),
            $joined,
            $step,
            null,
            $edges ?? new Edges,
            $drain,
        );
    }

    /**
     * A piece of the water plane, or one that joins it, which holds air too.
     *
     * @param  list<Patch>  $patches
     */
    public static function piece(
        string $id,
        Material $material,
        PieceKind $kind,
        int $step,
        array $patches,
        ?PieceRole $role = null,
        ?CutSize $cut = null,
        ?Edges $edges = null,
        bool $air = true,
    ): Piece {
        return new Piece(
            $id,
            $material,
            $kind,
            $role,
            $air,
            $air && $role === PieceRole::Plane,
            $step,
            null,
            $edges ?? new Edges,
            $patches,
            $cut,
        );
    }

    /**
     * A piece of the wall's plane, of one patch.
     *
     * @param  array{float|int, float|int, float|int, float|int}  $rect
     */
    public static function plane(
        string $id,
        Used $used,
        Choices $chosen,
        int $step,
        string $facet,
        array $rect,
        ?Edges $edges = null,
    ): Piece {
        return self::piece(
            $id,
            $used->of('plane'),
            $chosen->plane()->kind(),
            $step,
            [self::patch("$id.$facet", $facet, $rect, [], $step)],
            PieceRole::Plane,
            null,
            $edges,
        );
    }

    /**
     * A piece of one patch on the face.
     *
     * @param  array{float|int, float|int, float|int, float|int}  $rect
     */
    public static function onFace(
        string $id,
        Material $material,
        PieceKind $kind,
        int $step,
        array $rect,
        ?PieceRole $role = null,
        ?CutSize $cut = null,
    ): Piece {
        return self::piece(
            $id,
            $material,
            $kind,
            $step,
            [self::patch("$id.face", 'face', $rect, [], $step)],
            $role,
            $cut,
        );
    }

    /**
     * A list of steps numbered from one.
     *
     * @param  list<array{string, array<string, float|int|string>}>  $does
     * @return list<Step>
     */
    public static function numbered(array $does): array
    {
        return array_map(fn (int $i): Step => new Step($i + 1, $does[$i][0], $does[$i][1]), array_keys($does));
    }

    /**
     * The same least lap wherever two of these kinds lie over each other.
     *
     * @param  list<string>  $kinds
     * @return list<LeastLap>
     */
    public static function lapping(array $kinds, float $least): array
    {
        $laps = [];
        foreach ($kinds as $outer) {
            foreach ($kinds as $inner) {
                $laps[] = new LeastLap($outer, $inner, $least, $least);
            }
        }

        return $laps;
    }
}
