<?php

declare(strict_types=1);

namespace App\Animals;

use App\Models\Animal;
use App\Models\Enums\Status;
use App\Models\Kinds;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use Spatie\Activitylog\Models\Activity;

/** What was changed in an animal's record and in what is recorded of it: who, when, before, after. */
class History
{
    private const SHOWN = 300;

    /** Kinds of record that are of money and buyers as a whole. */
    private const OF_MONEY = ['sale'];

    private const FIELDS = [
        'sire_id' => 'sire', 'dam_id' => 'dam', 'hatched_on' => 'hatched', 'hatched_precision' => 'hatch date known to the',
        'price_cents' => 'price in cents', 'rack_id' => 'rack', 'rack_row' => 'row', 'rack_column' => 'column',
        'sex_found' => 'sex found', 'sex_certainty' => 'sex sure in %', 'names_all' => 'names all that shows',
        'acquired_on' => 'acquired', 'review_on' => 'review', 'on' => 'day', 'clutch_id' => 'clutch',
    ];

    /**
     * @return list<array{when: Carbon, who: string, what: string, changes: list<array{field: string, before: string, after: string}>}>
     *     newest first; without what is of money and buyers where that is not for whoever reads
     */
    public static function of(Animal $animal, bool $seesMoney): array
    {
        $own = Kinds::of($animal);
        $activities = Activity::query()->with('causer')->where(function (Builder $any) use ($animal, $own, $seesMoney): void {
            $any->where(fn (Builder $record) => $record->where('subject_type', $own->name)->where('subject_id', $animal->id));
            foreach ($seesMoney ? $own->children : array_diff($own->children, self::OF_MONEY) as $relation => $kind) {
                $ids = $animal->{$relation}()->withoutGlobalScope(SoftDeletingScope::class)->pluck('id')->all();
                $any->orWhere(fn (Builder $record) => $record->where('subject_type', $kind)->whereIn('subject_id', $ids));
            }
        })
            ->orderByDesc('id')->limit(self::SHOWN)->get();

        /** @var list<Activity> $all */
        $all = $activities->all();

        return array_map(function (Activity $activity) use ($seesMoney): array {
            /** @var User|null $causer */
            $causer = $activity->causer;

            return [
            'when' => Carbon::parse($activity->created_at),
            'who' => (string) ($causer->name ?? $activity->properties['who'] ?? 'a command'),
            'what' => Kinds::named((string) $activity->subject_type)->words.' '.match ($activity->event) {
                'created' => 'added',
                'deleted' => 'removed',
                'restored' => 'put back',
                default => 'changed',
            },
            'changes' => self::changes($activity, $seesMoney),
            ];
        }, $all);
    }

    /** @return list<array{field: string, before: string, after: string}> */
    private static function changes(Activity $activity, bool $seesMoney): array
    {
        $after = (array) ($activity->properties['attributes'] ?? []);
        $before = (array) ($activity->properties['old'] ?? []);
        $status = Status::tryFrom((string) ($after['status'] ?? $before['status'] ?? ''));
        $hidden = $seesMoney ? [] : ['price_cents' => 1] + ($status?->isOfTrade() ? ['reason' => 1] : []);
        $changes = [];
        foreach (array_diff_key($after + $before, $hidden) as $field => $value) {
            $pair = [self::text($before[$field] ?? null), self::text($after[$field] ?? null)];
            if ($pair[0] !== $pair[1]) {
                $changes[] = [
                    'field' => self::FIELDS[$field] ?? str_replace('_', ' ', (string) $field), 'before' => $pair[0],
                    'after' => $pair[1],
                ];
            }
        }

        return $changes;
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            $value === null => '',
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => (string) $value,
            default => (string) json_encode($value),
        };
    }
}
