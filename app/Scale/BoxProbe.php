<?php

declare(strict_types=1);

namespace App\Scale;

use Ramsey\Uuid\Uuid;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A made-up probe in an incubator: warmth with a daily wave and a little noise, humidity against it, and the faults that such
 * things have. The same seed sends the same readings.
 *
 * @phpstan-type Message array{place: string, kind: string, value: float, at: string, token: string}
 */
class BoxProbe
{
    /** A door that stands open; a heater that fails; readings that never come; a clock that is behind. */
    public const FAULTS = ['door', 'heater', 'dropouts', 'clock'];

    private const HOUR = 3600;

    private readonly Randomizer $chance;

    /** @param list<string> $faults of FAULTS */
    public function __construct(
        private readonly string $place, private readonly float $celsius, private readonly array $faults, private readonly int $seed,
    ) {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param int $now second of the Unix era of the last reading
     * @return list<Message> the earliest first
     */
    public function readings(int $now, int $days, int $minutes): array
    {
        $messages = [];
        for ($at = $now - $days * 86_400; $at <= $now; $at += $minutes * 60) {
            $before = $now - $at;
            $celsius = $this->celsius + .25 * sin(2 * M_PI * $at / 86_400) + .06 * $this->noise() + $this->fault($before);
            $humidity = 88 - 4 * sin(2 * M_PI * $at / 86_400) + $this->noise() - ($this->isOpen($before) ? 25 : 0);
            if (in_array('dropouts', $this->faults, true) && $before > 4 * self::HOUR && $before < 9 * self::HOUR) {
                continue;
            }
            $told = gmdate('Y-m-d\TH:i:s\Z', in_array('clock', $this->faults, true) ? $at - 30 * 86_400 : $at);
            $messages[] = [
                'place' => $this->place, 'kind' => 'temperature', 'value' => round($celsius, 2), 'at' => $told,
                'token' => $this->token('temperature', $at),
            ];
            $messages[] = [
                'place' => $this->place, 'kind' => 'humidity', 'value' => round(min(100, max(0, $humidity)), 1), 'at' => $told,
                'token' => $this->token('humidity', $at),
            ];
        }

        return $messages;
    }

    /** °C that a fault adds, so many seconds before the last reading. */
    private function fault(int $before): float
    {
        $door = $this->isOpen($before) ? -3.0 : 0.0;
        $heater = in_array('heater', $this->faults, true) && $before < 3 * self::HOUR ? -1.2 * (3 - $before / self::HOUR) : 0.0;

        return $door + $heater;
    }

    private function isOpen(int $before): bool
    {
        return in_array('door', $this->faults, true) && $before > 2 * self::HOUR && $before < 2 * self::HOUR + 1200;
    }

    /** A number around 0, mostly within 2. */
    private function noise(): float
    {
        return ($this->chance->getInt(-1000, 1000) + $this->chance->getInt(-1000, 1000)) / 1000;
    }

    /** Of the place, the kind and the time, so that two probes of one seed are two. */
    private function token(string $kind, int $at): string
    {
        return Uuid::uuid5(Uuid::NAMESPACE_OID, "{$this->seed} {$this->place} {$kind} {$at}")->toString();
    }
}
