<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Models\Clutch;
use App\Models\ClutchSire;

/** The young of a clutch follow its parents when these are corrected. */
class Followers
{
    /** @var list<array{int|null, string|null}> sires before, by number or name */
    private readonly array $sires;

    private readonly int $dam;

    /** To be made before the clutch is changed. */
    public function __construct(private readonly Clutch $clutch)
    {
        $this->sires = self::siresOf($clutch);
        $this->dam = $clutch->dam_id;
    }

    /**
     * Once it is changed: young of the dam of before have the new one; whose sire was the only one, or is no longer among the
     * possible, has the only one now or stays open; whose sire was told apart from others keeps him.
     */
    public function follow(): void
    {
        $now = self::siresOf($this->clutch->load('sires'));
        [$id, $name] = count($now) === 1 ? $now[0] : [null, null];
        foreach ($this->clutch->hatchlings()->get() as $young) {
            $own = [$young->sire_id, $young->sire_id === null ? $young->sire_name : null];
            $isGiven = $own === [null, null] ? count($this->sires) <= 1 || count($now) === 1 : in_array($own, $this->sires, true)
                && (count($this->sires) === 1 || ! in_array($own, $now, true));
            $values = ($isGiven && $now !== $this->sires ? ['sire_id' => $id, 'sire_name' => $name] : [])
                + ($young->dam_id === $this->dam ? ['dam_id' => $this->clutch->dam_id] : []);
            $young->fill($values)->isDirty() ? $young->save() : null;
        }
    }

    /** @return list<array{int|null, string|null}> */
    private static function siresOf(Clutch $clutch): array
    {
        return array_values($clutch->sires->map(
            fn (ClutchSire $sire): array => [$sire->animal_id, $sire->animal_id === null ? $sire->name : null],
        )->all());
    }
}
