<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** What is said of one test: that it is none, and why; or that it failed. What was made up fails nothing. */
final readonly class TestSaid
{
    public function __construct(private TestHead $head, private Source $source)
    {
    }

    /**
     * @param  list<string>  $wrong  why it is no test, by code
     * @param  array<string, float|int|string>  $figures
     * @return list<Finding>
     */
    public function notValid(array $wrong, array $figures): array
    {
        $kind = $this->head->kind->value;

        return array_map(
            fn (string $why): Finding => $this->finding("test.$kind-$why", Severity::Caution, $figures),
            $wrong,
        );
    }

    /** @param  array<string, float|int|string>  $figures */
    public function failed(array $figures, string $of = ''): Finding
    {
        return $this->head->isSimulated
            ? $this->finding('test.simulated-failed', Severity::Note, [])
            : $this->finding("test.{$this->head->kind->value}-failed", Severity::Fail, $figures, $of);
    }

    /** @param  array<string, float|int|string>  $figures */
    public function note(string $what, array $figures): Finding
    {
        return $this->finding("test.$what", Severity::Note, $figures);
    }

    /** @param  array<string, float|int|string>  $figures */
    private function finding(string $code, Severity $severity, array $figures, string $of = ''): Finding
    {
        return new Finding(
            $code,
            $severity,
            "tests/{$this->head->id}",
            ['test' => $this->head->title] + $figures,
            $this->source,
            $of,
        );
    }
}
