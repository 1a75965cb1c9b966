<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Json\Rows;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Project\Section\MaterialsSection;

/** What has been read of a file so far: a section stands on those before it. */
final class Reading
{
    /** @var array<string, mixed> by class of the section */
    private array $values = [];

    private ?Materials $materials = null;

    public function __construct(
        /** how a part that cannot be read is taken */
        public readonly Rows $rows,
        public readonly Catalogue $catalogue,
    ) {
    }

    public function add(string $section, mixed $value): void
    {
        $this->values[$section] = $value;
    }

    /**
     * @template T
     *
     * @param  class-string<Section<T>>  $section
     * @return T
     */
    public function of(string $section): mixed
    {
        /** @var T */
        return array_key_exists($section, $this->values)
            ? $this->values[$section]
            : throw new \LogicException("$section stands after what asks for it");
    }

    public function materials(): Materials
    {
        return $this->materials ??= new Materials($this->of(MaterialsSection::class), $this->catalogue);
    }

    /** @return array<string, mixed> by class of the section */
    public function values(): array
    {
        return $this->values;
    }
}
