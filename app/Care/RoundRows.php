<?php

declare(strict_types=1);

namespace App\Care;

use App\Collection\Statuses;
use App\Models\Animal;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** The animals of a round, rack by rack, in parts: a page of a large collection begins with the first and brings in the rest. */
final class RoundRows
{
    /** Rows of a part. */
    public const ROWS = 100;

    /** @var list<int> in the order of the round */
    private readonly array $ids;

    /** @var Collection<int, Animal> of this part */
    public readonly Collection $animals;

    public readonly Standings $standings;

    /** @param int $part counted from 1 */
    public function __construct(User $keeper, private readonly ?int $rack, public readonly int $part, Carbon $today)
    {
        $statuses = Statuses::of($keeper);
        $ids = $keeper->animals()->when($rack !== null, fn (Builder $query) => $query->where('rack_id', $rack))
            ->orderBy('rack_id')->orderBy('rack_row')->orderBy('rack_column')->orderBy('name')->orderBy('id')->toBase()->pluck('id');
        $this->ids = array_values(array_filter(
            array_map(intval(...), $ids->all()), fn (int $id): bool => $statuses->status($id)->isHere(),
        ));
        $own = array_slice($this->ids, self::ROWS * ($part - 1), self::ROWS);
        $place = array_flip($own);
        $this->animals = $keeper->animals()->with('rack')->whereKey($own)->get()
            ->sortBy(fn (Animal $animal): int => $place[$animal->id])->values();
        $this->standings = new Standings($keeper, $today, $own);
    }

    public function count(): int
    {
        return count($this->ids);
    }

    /** How many come after this part. */
    public function left(): int
    {
        return max(0, $this->count() - self::ROWS * $this->part);
    }

    /** @return array<string, int|string> of the address of the next part */
    public function next(string $kind): array
    {
        return ['kind' => $kind, 'part' => $this->part + 1] + ($this->rack === null ? [] : ['rack' => $this->rack]);
    }
}
