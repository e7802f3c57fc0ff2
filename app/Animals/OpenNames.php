<?php

declare(strict_types=1);

namespace App\Animals;

use App\Models\Animal;
use App\Models\ClutchSire;
use App\Models\User;
use Destino\Genome\Sex;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Parents that stand as a mere name and may be an animal that has come: linked when the keeper says so, never by themselves. */
class OpenNames
{
    private readonly string $role;

    public function __construct(private readonly User $keeper, private readonly Animal $animal)
    {
        $this->role = $animal->sex === Sex::Male ? 'sire' : 'dam';
    }

    /** @return list<Animal> that name it as a parent, and are younger as far as is known */
    public function young(): array
    {
        if ($this->animal->sex === null) {
            return [];
        }
        $hatched = $this->animal->hatched_on;

        return array_values(
            $this->keeper->animals()->whereNull("{$this->role}_id")->whereNotNull("{$this->role}_name")->whereKeyNot($this->animal->id)
                ->orderBy('name')->get()
                ->filter(fn (Animal $young): bool => $this->isMeant((string) $young->{"{$this->role}_name"})
                    && ($hatched === null || $young->hatched_on === null || $young->hatched_on->gt($hatched)))
                ->all(),
        );
    }

    /** @return list<ClutchSire> places in clutches that name it */
    private function clutches(): array
    {
        return $this->role === 'dam' ? [] : array_values(
            ClutchSire::query()->whereNull('animal_id')->whereNotNull('name')
                ->whereHas('clutch', fn (Builder $clutch) => $clutch->where('user_id', $this->keeper->id))->get()
                ->filter(fn (ClutchSire $sire): bool => $this->isMeant((string) $sire->name))->all(),
        );
    }

    /** @return int animals that have it as a parent now */
    public function link(): int
    {
        return DB::transaction(function (): int {
            $young = $this->young();
            foreach ($young as $one) {
                $one->update(["{$this->role}_id" => $this->animal->id, "{$this->role}_name" => null]);
            }
            foreach ($this->clutches() as $sire) {
                $sire->update(['animal_id' => $this->animal->id, 'name' => null]);
            }

            return count($young);
        });
    }

    /** In whatever letters it is written. */
    private function isMeant(string $name): bool
    {
        return trim($name) !== '' && in_array(
            mb_strtolower(trim($name)), [mb_strtolower($this->animal->name), mb_strtolower((string) $this->animal->number)], true,
        );
    }
}
