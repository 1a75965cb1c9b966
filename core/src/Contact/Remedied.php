<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Material\Material;
use Apron\Material\Materials;

/** What clears the contacts of a project, each with what else it would touch in the places where it goes. */
final readonly class Remedied
{
    /** @var list<Material> of the project and the catalogue, each once */
    private array $materials;

    /** @param  list<Contact>  $all  of the project */
    public function __construct(private Settled $settled, Materials $materials, private array $all = [])
    {
        $every = [...$materials->own, ...$materials->catalogue->all()];
        $this->materials = array_values(array_column($every, null, 'id'));
    }

    /**
     * @return list<array{kind: string, with: string|null, name: string|null, beside: int, worse: list<string>}>
     *   `beside`: how many others it touches there; `worse`: what is said of those that fare worse with it
     */
    public function of(Contact $contact): array
    {
        $beside = $this->beside($contact);

        return array_map(
            fn (array $remedy): array => [
                'kind' => $remedy['kind'],
                'with' => $remedy['with']?->id,
                'name' => $remedy['with']?->name,
                'beside' => count($beside),
                'worse' => $remedy['kind'] !== 'instead' || $remedy['with'] === null
                        ? []
                        : $this->worse($beside, $contact->touch->a, $remedy['with']),
            ],
            Remedies::of($contact->touch, $this->materials, $this->settled),
        );
    }

    /** @return list<Contact> what else the first of the two touches in the documents where it is */
    private function beside(Contact $contact): array
    {
        $documents = self::documents($contact);

        return array_values(
            array_filter(
                $this->all,
                fn (Contact $other): bool => $other->id !== $contact->id &&
                    in_array($contact->touch->a->id, [$other->touch->a->id, $other->touch->b->id], true) &&
                    array_intersect($documents, self::documents($other)) !== [],
            ),
        );
    }

    /** @return list<string> */
    private static function documents(Contact $contact): array
    {
        return array_map(
            fn (string $place): string => implode('/', array_slice(explode('/', $place), 0, 2)),
            $contact->places,
        );
    }

    /**
     * @param  list<Contact>  $beside
     * @return list<string>
     */
    private function worse(array $beside, Material $old, Material $new): array
    {
        $worse = [];
        foreach ($beside as $contact) {
            $touch = $contact->touch->with($old, $new);
            $judged = Resolver::judge($touch, $this->settled);
            if ($judged->verdict->severity($touch->how)->rank() < $contact->severity()->rank()) {
                $worse[] = "{$touch->a->name}, {$touch->b->name}: {$judged->verdict->value}";
            }
        }

        return $worse;
    }
}
