<?php

declare(strict_types=1);

namespace App\Care;

use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** The standing of every animal of a collection, or of some, looked up at once. */
class Standings
{
    /** Older meals and weights say nothing of how an animal stands. */
    private const MONTHS = 14;

    /** @var array<int, Standing> by animal */
    private array $of = [];

    /** @param list<int>|null $animals to look up; null for all */
    public function __construct(User $keeper, private readonly Carbon $today, ?array $animals = null)
    {
        $entries = CareEntry::query()->where('user_id', $keeper->id)->whereIn('kind', [CareKind::Feed, CareKind::Weight])
            ->when($animals !== null, fn (Builder $query) => $query->whereIn('animal_id', $animals ?? []))
            ->where('on', '>=', $today->copy()->subMonths(self::MONTHS)->format('Y-m-d'))
            ->orderBy('on')->orderBy('id')->get(['id', 'animal_id', 'kind', 'on', 'grams', 'outcome', 'prey']);
        foreach ($entries as $entry) {
            ($this->of[$entry->animal_id] ??= new Standing($today))->add($entry);
        }
    }

    public function of(int $animal): Standing
    {
        return $this->of[$animal] ??= new Standing($this->today);
    }
}
