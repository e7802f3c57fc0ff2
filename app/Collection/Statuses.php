<?php

declare(strict_types=1);

namespace App\Collection;

use App\Models\Enums\Status;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** The status of every animal of a collection, looked up at once. */
class Statuses
{
    /** @param array<int, string> $last */
    private function __construct(private readonly array $last) {}

    public static function of(User $keeper): self
    {
        return self::asOf($keeper, '9999-12-31');
    }

    /** As they were at the end of a day. */
    public static function asOf(User $keeper, string $day): self
    {
        $events = DB::table('status_events')->join('animals', 'animals.id', '=', 'status_events.animal_id')
            ->where('animals.user_id', $keeper->id)
            ->whereNull('status_events.deleted_at')
            ->where('status_events.on', '<=', $day)
            ->selectRaw('animal_id, status, row_number() over (partition by animal_id order by "on" desc, status_events.id desc) as place');

        return new self(DB::query()->fromSub($events, 'events')->where('place', 1)->pluck('status', 'animal_id')->all());
    }

    /** The last that was set; growing until one is. */
    public function status(int $animal): Status
    {
        return Status::tryFrom($this->last[$animal] ?? '') ?? Status::Growing;
    }
}
