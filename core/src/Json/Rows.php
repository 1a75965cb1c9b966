<?php

declare(strict_types=1);

namespace Apron\Json;

/**
 * How the rows of a list are read: a file as a whole, so that one bad row refuses it, or what is stored, so that it is
 * set aside.
 */
final class Rows
{
    /** @var list<Broken> */
    public array $broken = [];

    /** @param  bool  $refusing  whether what cannot be read refuses the file */
    private function __construct(public readonly bool $refusing)
    {
    }

    /** One row that cannot be read refuses the file. */
    public static function refusing(): self
    {
        return new self(true);
    }

    /** One row that cannot be read is set aside, and the others are read. */
    public static function settingAside(): self
    {
        return new self(false);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T|null null where it was set aside
     *
     * @throws FileRefused
     */
    public function one(string $section, ?Node $row, callable $read): mixed
    {
        try {
            return $read();
        } catch (FileRefused $refused) {
            if ($this->refusing) {
                throw $refused;
            }
            $this->broken[] = new Broken($section, $row?->named() ?? '', $refused);

            return null;
        }
    }

    /**
     * @template T of object
     *
     * @param  callable(Node): T  $read
     * @return list<T>
     *
     * @throws FileRefused
     */
    public function all(string $section, ?Node $list, callable $read): array
    {
        $rows = [];
        foreach ($list?->items() ?? [] as $node) {
            $row = $this->one($section, $node, fn () => $read($node));
            if ($row !== null) {
                $rows[] = $row;
            }
        }

        return $rows;
    }

    /**
     * @template T of object{id: string}
     *
     * @param  callable(Node): T  $read
     * @param  array<string, object>  $beside  rows of another list whose ids are taken too
     * @return array<string, T> by id
     *
     * @throws FileRefused
     */
    public function byId(string $section, ?Node $list, callable $read, array $beside = []): array
    {
        $rows = [];
        foreach ($list?->items() ?? [] as $node) {
            $row = $this->one($section, $node, function () use ($node, $read, $rows, $beside) {
                $row = $read($node);
                if (isset($rows[$row->id]) || isset($beside[$row->id])) {
                    $node
                        ->get('id')
                        ->refuse('an id that no other in this list has'.($beside === [] ? '' : ', nor a detail'));
                }

                return $row;
            });
            if ($row !== null) {
                $rows[$row->id] = $row;
            }
        }

        return $rows;
    }
}
