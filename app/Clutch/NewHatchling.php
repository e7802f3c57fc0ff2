<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Numbering;
use App\House\House;
use App\Models\Clutch;
use App\Models\User;

/** What the record of a hatchling begins with: its parents, its day, the next number of the house. */
final readonly class NewHatchling
{
    public function __construct(private Clutch $clutch, private User $keeper, private House $house) {}

    /** @return array<string, mixed> */
    public function values(string $name, ?string $sex, ?int $sire = null): array
    {
        $only = $this->clutch->sires->count() === 1 ? $this->clutch->sires->first() : null;

        return [
            'name' => $name,
            'number' => Numbering::next($this->keeper, $this->house, (int) ($this->clutch->hatched_on ?? now())->format('Y')),
            'sex' => $sex, 'hatched_on' => $this->clutch->hatched_on?->format('Y-m-d'), 'clutch_id' => $this->clutch->id,
            'dam_id' => $this->clutch->dam_id, 'sire_id' => $sire ?? $only?->animal_id, 'sire_name' => $only?->name,
        ];
    }

    /** The name that one has until somebody gives it another. A dam's second clutch of a year is "2026b". */
    public static function name(Clutch $clutch, int $number): string
    {
        $season = $clutch->season();
        $before = Clutch::query()->where('dam_id', $clutch->dam_id)->where('id', '<', $clutch->id)->get()
            ->filter(fn (Clutch $other): bool => $other->season() === $season)->count();

        return mb_substr($clutch->dam->name, 0, 60)." {$season}".($before === 0 ? '' : chr(ord('a') + min($before, 25)))."-{$number}";
    }
}
