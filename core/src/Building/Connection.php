<?php

declare(strict_types=1);

namespace Apron\Building;

/** What is decided at a joint, or at all of a kind between two assemblies. */
final readonly class Connection
{
    /**
     * @param  string|null  $joint  the id of one
     * @param  array{string, string}|null  $between  ids of assemblies, or `opening`, in either order; null for any
     * @param  array<string, Claim>  $claims  by control
     */
    public function __construct(
        public ?string $joint,
        public ?JointKind $kind,
        public ?array $between,
        public ?string $detail,
        public array $claims,
        /** the section in two dimensions that shows the joint as it is made */
        public ?string $section = null,
        /** W/(m·K) that somebody states */
        public ?float $psi = null,
    ) {
    }

    /** How particular it is: the more particular wins, thread by thread. */
    public function rank(): int
    {
        return match (true) {
            $this->joint !== null => 3,
            $this->between !== null => 2,
            default => 1,
        };
    }

    /** @param  array{string, string}  $assemblies  of the parts of the joint, `opening` for one */
    public function speaksOf(Joint $joint, array $assemblies): bool
    {
        if ($this->joint !== null) {
            return $this->joint === $joint->id;
        }
        $turned = array_reverse($assemblies);
        $fits = $this->between === null || $this->between === $assemblies || $this->between === $turned;

        return $this->kind === $joint->kind && $fits;
    }
}
