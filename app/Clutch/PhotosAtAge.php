<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\Precision;
use App\Models\Photo;

/**
 * Photographs of siblings, and of their parents, at one age: what changes with age tells nothing between animals of different ages.
 *
 * @phpstan-type Pictured array{animal: Animal, role: string, photo: Photo|null, days: int|null}
 */
final readonly class PhotosAtAge
{
    /** Photographs are of one age where they are this near, in days, or in this share of the age. */
    private const NEAR = 5;

    private const NEAR_SHARE = .2;

    /** @var list<int> ages in days at which most siblings were photographed, the youngest first */
    public array $ages;

    /** The age that is shown; null where fewer than two siblings have a photograph of one age. */
    public ?int $days;

    /** @param int|null $days the age that is asked for */
    public function __construct(private Clutch $clutch, ?int $days = null)
    {
        $clutch->loadMissing('hatchlings.photos', 'dam.photos', 'sires.animal.photos');
        $counted = $this->counted();
        $this->ages = array_keys($counted);
        arsort($counted);
        $this->days = in_array($days, $this->ages, true) ? $days : (array_key_first($counted) ?? null);
    }

    /** @return list<Pictured> the dam and the possible sires where they have one, then every hatchling */
    public function all(): array
    {
        $parents = [[$this->clutch->dam, 'dam']];
        foreach ($this->clutch->sires as $sire) {
            $sire->animal === null ?: $parents[] = [$sire->animal, $this->clutch->sires->count() > 1 ? 'possible sire' : 'sire'];
        }
        $all = array_filter(
            array_map(fn (array $parent): array => $this->pictured(...$parent), $parents),
            static fn (array $one): bool => $one['photo'] !== null,
        );
        foreach ($this->clutch->hatchlings as $animal) {
            $all[] = $this->pictured($animal, '');
        }

        return array_values($all);
    }

    /** "3 days", "5 months", "2 years". */
    public static function words(int $days): string
    {
        [$count, $word] = match (true) {
            $days < 60 => [$days, 'day'],
            $days < 730 => [intdiv($days, 30), 'month'],
            default => [intdiv($days, 365), 'year'],
        };

        return "{$count} {$word}".($count === 1 ? '' : 's');
    }

    /** @return array<int, int> siblings photographed near an age, by the age; only where there are two or more */
    private function counted(): array
    {
        $ages = [];
        foreach ($this->clutch->hatchlings as $animal) {
            foreach ($animal->photos as $photo) {
                $ages[] = $this->daysOf($animal, $photo);
            }
        }
        $ages = array_filter($ages, static fn (?int $days): bool => $days !== null);
        sort($ages);
        $counted = [];
        foreach ($ages as $days) {
            $last = array_key_last($counted);
            if ($last !== null && self::isNear($days, $last)) {
                continue; // one age is told once
            }
            $count = $this->clutch->hatchlings->filter(fn (Animal $animal): bool => $this->nearest($animal, $days) !== null)->count();
            if ($count > 1) {
                $counted[$days] = $count;
            }
        }

        return $counted;
    }

    /** @return Pictured */
    private function pictured(Animal $animal, string $role): array
    {
        $photo = $this->days === null ? null : $this->nearest($animal, $this->days);

        return ['animal' => $animal, 'role' => $role, 'photo' => $photo, 'days' => $photo === null ? null : $this->daysOf($animal, $photo)];
    }

    private function nearest(Animal $animal, int $days): ?Photo
    {
        $near = $animal->photos->filter(function (Photo $photo) use ($animal, $days): bool {
            $own = $this->daysOf($animal, $photo);

            return $own !== null && self::isNear($own, $days);
        });

        $away = fn (Photo $photo): int => abs((int) $this->daysOf($animal, $photo) - $days);

        return $near->sort(fn (Photo $a, Photo $b): int => [$away($a), $b->id] <=> [$away($b), $a->id])->first();
    }

    private function daysOf(Animal $animal, Photo $photo): ?int
    {
        $isExact = $animal->hatched_on === null || $animal->hatched_precision === Precision::Day;
        $hatched = ! $isExact ? null : $animal->hatched_on ?? ($animal->clutch_id === $this->clutch->id ? $this->clutch->hatched_on : null);

        return $hatched === null || $photo->on->lt($hatched) ? null : (int) $hatched->diffInDays($photo->on);
    }

    private static function isNear(int $days, int $other): bool
    {
        return abs($days - $other) <= max(self::NEAR, (int) (self::NEAR_SHARE * max($days, $other)));
    }
}
