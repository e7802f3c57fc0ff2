<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Photo;

/** Photographs that show several hatchlings of a clutch, each of which stands with every hatchling that it shows. */
final readonly class BoxPhotos
{
    public function __construct(private Clutch $clutch) {}

    /** @return list<Photo> one for each picture, the newest first */
    public function all(): array
    {
        $photos = [];
        foreach ($this->clutch->loadMissing('hatchlings.photos')->hatchlings as $animal) {
            foreach ($animal->photos as $photo) {
                if ($photo->part() !== null) {
                    $photos[$photo->file] ??= $photo;
                }
            }
        }
        usort($photos, static fn (Photo $a, Photo $b): int => [$b->on, $b->id] <=> [$a->on, $a->id]);

        return $photos;
    }

    public function named(int $id): ?Photo
    {
        foreach ($this->all() as $photo) {
            if ($photo->id === $id) {
                return $photo;
            }
        }

        return null;
    }

    /** @return array<int, array{int, int}> the heads in a picture by hatchling: across and down, in thousandths */
    public static function heads(Clutch $clutch, string $file): array
    {
        $heads = [];
        foreach ($clutch->loadMissing('hatchlings.photos')->hatchlings as $animal) {
            $part = self::in($animal, $file)?->part();
            if ($part !== null) {
                $heads[$animal->id] = [$part->across, $part->down];
            }
        }

        return $heads;
    }

    private static function in(Animal $animal, string $file): ?Photo
    {
        return $animal->photos->first(fn (Photo $photo): bool => $photo->file === $file);
    }
}
