<?php

declare(strict_types=1);

namespace App\Incubation;

use App\House\House;
use App\Models\Incubator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use SplFileObject;

/**
 * Readings of an incubator from a CSV with a heading: a column of times, and one of temperature, of humidity, or both. A reading
 * that is there already is not taken twice.
 */
class ReadingFile
{
    public const MOST = 200_000;

    private const CHUNK = 2000;

    /** @var list<string> lines that were not taken, with why; the first few */
    public array $refused = [];

    public int $refusedCount = 0;

    public int $taken = 0;

    public int $known = 0;

    /** @var list<list<int|float|string>> as they are bound */
    private array $rows = [];

    private readonly int $latest;

    private readonly string $zone;

    public function __construct(private readonly Incubator $incubator, private readonly House $house)
    {
        $this->latest = time() + 300; // clocks differ a little
        $this->zone = (string) config('destino.zone');
    }

    /** @throws UnreadableReadings where the file has no heading that names a time and a value */
    public function take(string $path): void
    {
        $file = new SplFileObject($path);
        $separator = substr_count((string) $file->fgets(), ';') > 0 ? ';' : ',';
        $file->rewind();
        $file->setFlags(SplFileObject::READ_CSV | SplFileObject::SKIP_EMPTY | SplFileObject::READ_AHEAD);
        $file->setCsvControl($separator, '"', '');
        $columns = $line = null;
        foreach ($file as $i => $cells) {
            $line = (int) $i + 1;
            $cells = array_map(strval(...), (array) $cells);
            if ($columns === null) {
                $columns = ReadingColumns::of($cells, $this->house->simple('temperature') === 'F');
            } elseif ($line > self::MOST) {
                $this->refuse($line, 'a file is read to '.number_format(self::MOST).' lines');
                break;
            } else {
                $this->line($line, $cells, $columns);
            }
        }
        $columns !== null || throw UnreadableReadings::empty();
        $this->flush();
    }

    /** @param list<string> $cells */
    private function line(int $line, array $cells, ReadingColumns $columns): void
    {
        $at = ReadingColumns::moment($cells[$columns->at] ?? '', $this->zone);
        if ($at === null || $at > $this->latest) {
            $this->refuse($line, '“'.Str::limit($cells[$columns->at] ?? '', 30).'” is '.($at === null ? 'no time' : 'in the future'));

            return;
        }
        foreach (['temperature' => [-20.0, 60.0], 'humidity' => [0.0, 100.0]] as $kind => [$least, $most]) {
            $text = $columns->text($kind, $cells);
            if ($text === '') {
                continue;
            }
            $value = is_numeric($text) ? (float) $text : null;
            $value = $value !== null && $kind === 'temperature' && $columns->isFahrenheit ? ($value - 32) / 1.8 : $value;
            if ($value === null || $value < $least || $value > $most) {
                $this->refuse($line, '“'.Str::limit($text, 30)."” is no {$kind}");

                continue;
            }
            $this->add($kind, $at, round($value, 2));
        }
    }

    private function add(string $kind, int $at, float $value): void
    {
        $when = gmdate('Y-m-d H:i:s', $at);
        $this->rows[] = [
            $this->incubator->user_id, $this->incubator->place, $kind, $value, $when,
            self::token($at, "{$this->incubator->user_id} {$this->incubator->place} {$kind} {$value}"),
            date('Y-m-d H:i:s', $at), date('Y-m-d H:i:s', $at), // as if each had come when it was read
        ];
        count($this->rows) < self::CHUNK || $this->flush();
    }

    /** Equal for equal readings, so that a file that is taken in again brings nothing twice; in the order of time for the index. */
    private static function token(int $at, string $reading): string
    {
        $hash = hash('xxh128', $reading);

        return sprintf('%08x-%s-8%s-a%s-%s', $at, substr($hash, 0, 4), substr($hash, 4, 3), substr($hash, 7, 3), substr($hash, 10, 12));
    }

    /** Short transactions, so that others can write between them. */
    private function flush(): void
    {
        $new = $this->rows === [] ? 0 : DB::transaction(function (): int {
            // prepared once: a list in one statement costs four times as much to put together
            $insert = DB::connection()->getPdo()->prepare(
                'insert into readings (user_id, place, kind, value, at, token, created_at, updated_at) values (?, ?, ?, ?, ?, ?, ?, ?) on conflict do nothing',
            );
            $new = 0;
            foreach ($this->rows as $row) {
                $insert->execute($row);
                $new += $insert->rowCount();
            }

            return $new;
        });
        $this->taken += $new;
        $this->known += count($this->rows) - $new;
        $this->rows = [];
    }

    private function refuse(int $line, string $why): void
    {
        $this->refusedCount++;
        count($this->refused) >= 5 || $this->refused[] = "line {$line}: {$why}";
    }

    public function sentence(): string
    {
        $words = number_format($this->taken).' '.($this->taken === 1 ? 'reading' : 'readings').' taken in';
        $words .= $this->known === 0 ? '' : ', '.number_format($this->known).' were there already';

        return $words.(
            $this->refusedCount === 0
                ? '.'
                : '; '.number_format($this->refusedCount).' not taken: '.implode('; ', $this->refused).(
                    $this->refusedCount > 5 ? ' and more.' : '.'
                )
        );
    }
}
