<?php

declare(strict_types=1);

namespace App\Incubation;

use App\Models\Incubator;
use App\Models\Reading;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * The readings of an incubator, drawn together by the database, so that a season at one a minute is as quick as a day.
 *
 * @phpstan-type Bucket array{at: int, mean: float, least: float, most: float, count: int}
 */
final readonly class Log
{
    /** Readings that alarms look at. */
    private const RECENT = 3000;

    private const HOUR = 3600;

    public function __construct(private Incubator $incubator) {}

    /**
     * Spans of so many seconds in which there are readings, the earliest first; at: second of the Unix era at the beginning.
     *
     * @return list<Bucket>
     */
    public function buckets(string $kind, Carbon $from, Carbon $to, int $seconds): array
    {
        // Hours or minutes by the beginning of their name, which every database cuts quickly; then spans of them.
        $letters = $seconds >= self::HOUR ? 13 : 16;
        $rows = $this->of($kind)->whereBetween('at', [self::inUtc($from), self::inUtc($to)])
            ->selectRaw(
                "substr(cast(at as text), 1, {$letters}) as part, avg(value) as mean, min(value) as least, max(value) as most, count(*) as count",
            )
            ->groupByRaw('part')->orderByRaw('part')->get();
        $buckets = [];
        foreach ($rows as $row) {
            $at = intdiv((int) strtotime($row->part.($letters === 13 ? ':00 UTC' : ' UTC')), $seconds) * $seconds;
            $buckets[$at] = self::with($buckets[$at] ?? null, $at, $row);
        }

        return array_values($buckets);
    }

    /**
     * @param Bucket|null $bucket
     * @return Bucket
     */
    private static function with(?array $bucket, int $at, \stdClass $row): array
    {
        $count = ($bucket['count'] ?? 0) + (int) $row->count;

        return [
            'at' => $at, 'mean' => (($bucket['mean'] ?? 0.0) * ($bucket['count'] ?? 0) + $row->mean * $row->count) / $count,
            'least' => min($bucket['least'] ?? INF, (float) $row->least), 'most' => max($bucket['most'] ?? -INF, (float) $row->most),
            'count' => $count,
        ];
    }

    /** @return list<array{int, float, int}> second of the reading, value, second in which it arrived; the earliest first */
    public function recent(string $kind, Carbon $now): array
    {
        $rows = $this->of($kind)->where('at', '>', self::inUtc($now->copy()->subDays(2)))->orderByDesc('at')->limit(self::RECENT)
            ->get(['at', 'value', 'created_at']);
        $rows = $rows->isEmpty() ? $this->of($kind)->orderByDesc('at')->limit(20)->get(['at', 'value', 'created_at']) : $rows;

        return array_values($rows->reverse()->map(function (\stdClass $row): array {
            $at = (int) strtotime("{$row->at} UTC");

            return [$at, (float) $row->value, $row->created_at === null ? $at : (int) strtotime($row->created_at)];
        })->all());
    }

    public function latest(string $kind): ?Reading
    {
        return Reading::query()->where('user_id', $this->incubator->user_id)->where('place', $this->incubator->place)->where('kind', $kind)
            ->orderByDesc('at')->orderByDesc('id')->first();
    }

    private function of(string $kind): Builder
    {
        return DB::table('readings')->where('user_id', $this->incubator->user_id)->where('place', $this->incubator->place)
            ->where('kind', $kind);
    }

    private static function inUtc(Carbon $moment): string
    {
        return $moment->copy()->utc()->format('Y-m-d H:i:s');
    }
}
