<?php

declare(strict_types=1);

namespace Apron\Contact;

/** What a project has settled for itself: what is warranted together, and what was pulled off its own faces. */
final readonly class Settled
{
    /** @param  list<AdhesionTest>  $tests */
    public function __construct(public Systems $systems = new Systems, private array $tests = [])
    {
    }

    /** What was pulled of these two, this one over that one: the last of several. */
    public function test(Touch $touch): ?AdhesionTest
    {
        $of = null;
        foreach ($touch->how->sticks() ? $this->tests : [] as $test) {
            $isIt = $test->product === $touch->over()->id && $test->on === $touch->under()->id;
            $of = $isIt && ($of === null || $test->signed()['at'] >= $of->signed()['at']) ? $test : $of;
        }

        return $of;
    }
}
