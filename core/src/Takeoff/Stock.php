<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Rules\RuleFigures;

/**
 * Boards of one size, begun as they are needed: a piece comes from the offcut that it fills best, else from a new
 * board. What is lower than a board is ripped off it first, then cut to length (guillotine cuts, best area fit: a usual
 * way of cutting; a better one may exist). Boards are not turned: their long edge lies level.
 */
final class Stock
{
    /** As many sizes of offcuts as somebody keeps an eye on while a row is laid. */
    private const KEPT = 24;

    private const KEPT_ALIKE = 8;

    private const HAIR = 0.5;

    public int $boards = 0;

    /** @var array<string, array{float, float}> length and height, by size */
    private array $offcuts = [];

    /** @var array<string, list<int>> the boards that they are of, by size */
    private array $of = [];

    private readonly float $least;

    public function __construct(private readonly Size $size, private readonly bool $keepsAll = false)
    {
        $this->least = RuleFigures::of('takeoff')->figure('offcut_mm');
    }

    /** The board that a piece is cut from, from 1. */
    public function take(float $length, float $height): int
    {
        $best = null;
        $area = INF;
        foreach ($this->offcuts as $size => [$l, $h]) {
            if ($l >= $length - self::HAIR && $h >= $height - self::HAIR && $l * $h < $area) {
                [$best, $area] = [$size, $l * $h];
            }
        }
        if ($best === null) {
            $this->boards++;
            $this->cut($this->size->length, $this->size->width, $this->boards, $length, $height);

            return $this->boards;
        }
        [$l, $h] = $this->offcuts[$best];
        $board = (int) array_pop($this->of[$best]);
        if ($this->of[$best] === []) {
            unset($this->offcuts[$best], $this->of[$best]);
        }
        $this->cut($l, $h, $board, $length, $height);

        return $board;
    }

    private function cut(float $l, float $h, int $board, float $length, float $height): void
    {
        $this->keep($l, $h - $height, $board);
        $this->keep($l - $length, $height, $board);
        if (! $this->keepsAll && count($this->offcuts) > self::KEPT) {
            $oldest = (string) array_key_first($this->offcuts);
            unset($this->offcuts[$oldest], $this->of[$oldest]);
        }
    }

    private function keep(float $length, float $height, int $board): void
    {
        if ($length >= $this->least && $height >= $this->least) {
            $size = sprintf('%.0F %.0F', $length, $height);
            $this->offcuts[$size] ??= [$length, $height];
            if ($this->keepsAll || count($this->of[$size] ?? []) < self::KEPT_ALIKE) {
                $this->of[$size][] = $board;
            }
        }
    }

    /**
     * All pieces of one size of board together, the largest first: as few boards as that takes.
     *
     * @param  list<LaidPiece>  $pieces  each is told its board
     * @return int boards
     */
    public static function together(array $pieces, Size $size): int
    {
        usort(
            $pieces,
            fn (LaidPiece $a, LaidPiece $b): int => [$b->width, $b->length] <=> [$a->width, $a->length],
        );
        $stock = new self($size, true);
        foreach ($pieces as $piece) {
            $piece->from = $stock->take($piece->length, $piece->width);
        }

        return $stock->boards;
    }
}
