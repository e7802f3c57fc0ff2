<?php

declare(strict_types=1);

namespace App\Incubation;

/** Which columns of a file of readings hold the time, the temperature and the humidity. */
final readonly class ReadingColumns
{
    /** The first second of the year 2000: nothing was read before. */
    private const FIRST = 946_684_800;

    /** Words that a heading may use. */
    private const COLUMNS = [
        'at' => ['at', 'time', 'timestamp', 'date', 'datetime', 'date time', 'when'],
        'temperature' => [
            'temperature', 'temp', 'celsius', '°c', 'temperature (°c)', 'temperature_c', 'fahrenheit', '°f', 'temperature (°f)',
        ],
        'humidity' => ['humidity', 'rh', 'humidity (%)', 'relative humidity', '%rh'],
    ];

    private function __construct(public int $at, public ?int $temperature, public ?int $humidity, public bool $isFahrenheit) {}

    /**
     * @param list<string> $heading
     * @param bool $isFahrenheit where the heading does not say
     *
     * @throws UnreadableReadings
     */
    public static function of(array $heading, bool $isFahrenheit): self
    {
        $found = ['at' => null, 'temperature' => null, 'humidity' => null];
        foreach ($heading as $i => $word) {
            $word = mb_strtolower(trim($word, " \t\u{feff}"));
            foreach (self::COLUMNS as $column => $words) {
                if ($found[$column] === null && in_array($word, $words, true)) { // a file may have both units: the first is read
                    $found[$column] = $i;
                    $isFahrenheit = $column !== 'temperature' ? $isFahrenheit : match (true) {
                        str_contains($word, 'f') => true,
                        str_contains($word, '°c') || $word === 'celsius' || $word === 'temperature_c' => false,
                        default => $isFahrenheit,
                    };
                }
            }
        }
        if ($found['at'] === null || ($found['temperature'] === null && $found['humidity'] === null)) {
            throw UnreadableReadings::heading($heading);
        }

        return new self($found['at'], $found['temperature'], $found['humidity'], $isFahrenheit);
    }

    /** @param list<string> $cells */
    public function text(string $kind, array $cells): string
    {
        $at = $kind === 'temperature' ? $this->temperature : $this->humidity;

        return $at === null ? '' : trim(str_replace(',', '.', $cells[$at] ?? ''));
    }

    /** @return int|null second of the Unix era, from 2000 on */
    public static function moment(string $text, string $zone): ?int
    {
        $text = trim($text);
        $at = match (true) {
            strlen($text) > 40 || preg_match('/\d/', $text) !== 1 => false,
            ctype_digit($text) => strlen($text) === 10 ? (int) $text : false,
            // times without a zone are those of the clock on the wall
            preg_match('/(Z|UTC|GMT|[+-]\d\d:?\d\d)$/i', $text) === 1 => strtotime($text),
            default => strtotime("{$text} {$zone}"),
        };

        return $at === false || $at < self::FIRST ? null : $at;
    }
}
