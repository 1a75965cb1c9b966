<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\CannotGenerate;
use Apron\Json\CoreData;
use Apron\Json\Node;

/**
 * The axes along which an opening is composed, what may be answered along each, which are asked at all, and which
 * answers do not go together: `core/data/combinations.json`.
 *
 * @phpstan-type When array<string, list<string>>
 */
final class Axes
{
    /** @return array<string, array{of: list<string>, when: When}> by name, in the order they are asked */
    public static function all(): array
    {
        /** @var array<string, array{of: list<string>, when: When}>|null $axes */
        static $axes = null;

        return $axes ??= array_map(
            fn (Node $axis): array => [
                'of' => self::words($axis->get('of')),
                'when' => self::when($axis->optional('when')),
            ],
            CoreData::read('combinations')->get('axes')->entries(),
        );
    }

    /**
     * Every reason for which answers are refused, with what is refused and what can be built instead.
     *
     * @return list<array{if: When, why: string, instead: array<string, string>}>
     */
    public static function refused(): array
    {
        /** @var list<array{if: When, why: string, instead: array<string, string>}>|null $refused */
        static $refused = null;

        return $refused ??= array_map(
            fn (Node $row): array => [
                'if' => self::when($row->get('if')),
                'why' => $row->get('why')->text(),
                'instead' => array_map(fn (Node $n): string => $n->id(), $row->get('instead')->entries()),
            ],
            CoreData::read('combinations')->get('refused')->items(1),
        );
    }

    /** @return list<string> */
    private static function words(Node $list): array
    {
        return array_map(fn (Node $word): string => $word->id(), $list->items(1));
    }

    /** @return When */
    private static function when(?Node $node): array
    {
        return $node === null ? [] : array_map(self::words(...), $node->entries());
    }

    /**
     * @param  When  $when
     * @param  array<string, string>  $answers
     */
    private static function holds(array $when, array $answers): bool
    {
        foreach ($when as $axis => $of) {
            if (! in_array($answers[$axis] ?? null, $of, true)) {
                return false;
            }
        }

        return true;
    }

    /**
     * One answer along each axis that is asked.
     *
     * @param  array<string, string>  $preset
     * @param  array<string, string>  $given  more than axes may be in it
     * @return array<string, string>
     *
     * @throws CannotGenerate where an answer is none, or does not go with the others
     */
    public static function answers(array $preset, array $given): array
    {
        $answers = self::settled($preset, $given);
        $refused = self::against($answers);
        if ($refused !== null) {
            $axis = self::atFault($refused['if'], $given);
            throw new CannotGenerate($axis, $answers[$axis], self::instead($refused).', for '.$refused['why']);
        }

        return $answers;
    }

    /**
     * @param  array<string, string>  $preset
     * @param  array<string, string>  $given
     * @return array<string, string> without a look at which go together
     */
    private static function settled(array $preset, array $given): array
    {
        $answers = [];
        foreach (self::all() as $name => $axis) {
            if (! self::holds($axis['when'], $answers)) {
                continue;
            }
            $of = self::open($name, $axis['of'], $answers);
            $usual = $preset[$name] ?? $of[0];
            $answers[$name] = $given[$name] ?? (in_array($usual, $of, true) ? $usual : $of[0]);
            if (! in_array($answers[$name], $axis['of'], true)) {
                throw new CannotGenerate($name, $answers[$name], 'one of '.implode(', ', $axis['of']));
            }
        }

        return $answers;
    }

    /**
     * Of what may be answered, what the answers so far leave open.
     *
     * @param  non-empty-list<string>|list<string>  $of
     * @param  array<string, string>  $answers
     * @return non-empty-list<string>
     */
    private static function open(string $axis, array $of, array $answers): array
    {
        $open = array_values(
            array_filter($of, fn (string $one): bool => self::against([$axis => $one] + $answers) === null),
        );

        return $open === [] ? [$of[0]] : $open;
    }

    /**
     * @param  array<string, string>  $answers
     * @return array{if: When, why: string, instead: array<string, string>}|null
     */
    private static function against(array $answers): ?array
    {
        foreach (self::refused() as $row) {
            if (self::holds($row['if'], $answers)) {
                return $row;
            }
        }

        return null;
    }

    /**
     * The last axis of those that do not go together which somebody answered: the others came before it.
     *
     * @param  When  $if
     * @param  array<string, string>  $given
     */
    private static function atFault(array $if, array $given): string
    {
        $said = array_values(array_intersect(array_keys(self::all()), array_keys($if), array_keys($given)));

        return $said === [] ? (string) array_key_last($if) : $said[count($said) - 1];
    }

    /** @param  array{if: When, why: string, instead: array<string, string>}  $refused */
    private static function instead(array $refused): string
    {
        $said = [];
        foreach ($refused['instead'] as $axis => $answer) {
            $said[] = "$axis $answer";
        }

        return implode(' with ', $said);
    }

    /**
     * What may be answered along each axis that is asked, the others as they are: the usual first, and none that would
     * be refused.
     *
     * @param  array<string, string>  $preset
     * @param  array<string, string>  $answers
     * @return array<string, non-empty-list<string>>
     */
    public static function offered(array $preset, array $answers): array
    {
        $offered = [];
        foreach ($answers as $name => $answer) {
            $of = array_values(
                array_filter(
                    self::all()[$name]['of'],
                    fn (string $one): bool => $one === $answer ||
                        self::against(self::settled($preset, [$name => $one] + $answers)) === null,
                ),
            );
            $usual = $preset[$name] ?? $of[0];
            $offered[$name] = in_array($usual, $of, true)
                ? [$usual, ...array_values(array_diff($of, [$usual]))]
                : ($of === []
                    ? [$answer]
                    : $of);
        }

        return $offered;
    }
}
