<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\Sex;

/** What being a parent says of an animal: a sire is male and a dam female, whatever is recorded of its sex or not. */
final readonly class Roles
{
    /**
     * @param array<string, Sex> $sexes by animal: as recorded, otherwise as its role has it, otherwise as it was seen
     * @param array<string, InferenceError> $wrong roles that cannot be, by the young or the dam of the eggs
     */
    private function __construct(public array $sexes, public array $wrong) {}

    /**
     * @param array<string, Individual> $animals by id
     * @param list<Brood> $broods
     */
    public static function of(array $animals, array $broods): self
    {
        $sexes = $places = [];
        foreach ($animals as $id => $animal) {
            if ($animal->sex !== null) {
                $sexes[$id] = $animal->sex;
            }
            $places[] = [$id, $id, $animal->sires(), $animal->dam];
        }
        foreach ($broods as $brood) {
            $places[] = [$brood->dam, "eggs of {$brood->dam}", $brood->sires, $brood->dam];
        }

        return self::among($sexes, $places, array_map(static fn (Individual $animal): ?Sex => $animal->saw?->sex, $animals));
    }

    /**
     * @param array<string, Sex> $recorded by animal
     * @param list<array{string, string, list<string|null>, string|null}> $places whom a fault is laid to, the young in words,
     *     its possible sires, its dam
     * @param array<string, Sex|null> $seen by animal
     */
    public static function among(array $recorded, array $places, array $seen = []): self
    {
        $roles = $wrong = [];
        foreach ($places as [$key, $young, $sires, $dam]) {
            foreach (
                [...array_map(static fn (?string $sire): array => [$sire, Sex::Male], $sires), [$dam, Sex::Female]] as [$parent, $sex]
            ) {
                if ($parent === null) {
                    continue;
                }
                if ($sex === Sex::Female && in_array($parent, $sires, true)) {
                    $wrong[$key] = InferenceError::bothParents($parent, $young);
                } elseif (isset($recorded[$parent]) && $recorded[$parent] !== $sex) {
                    $wrong[$key] = InferenceError::parentOfWrongSex($parent, $sex, $young);
                } elseif (isset($roles[$parent]) && $roles[$parent][0] !== $sex) {
                    $wrong[$key] = InferenceError::twoRoles(
                        $parent, $sex === Sex::Male ? $young : $roles[$parent][1],
                        $sex === Sex::Male ? $roles[$parent][1] : $young,
                    );
                } else {
                    $roles[$parent] ??= [$sex, $young];
                }
            }
        }

        return new self($recorded + array_map(static fn (array $role): Sex => $role[0], $roles) + array_filter($seen), $wrong);
    }
}
