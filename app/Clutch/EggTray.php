<?php

declare(strict_types=1);

namespace App\Clutch;

use App\House\House;
use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Egg;
use App\Models\Enums\EggState;
use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** The eggs of a clutch as they lie in the box, and one of them in hand. */
class EggTray
{
    /** Eggs that lie side by side when a box is laid out. */
    private const IN_A_ROW = 5;

    /** @var Collection<int, Egg> */
    public readonly Collection $eggs;

    public readonly ?Egg $inHand;

    public function __construct(public readonly Clutch $clutch, private readonly House $house, ?int $inHand = null)
    {
        $clutch->load('dam', 'sires.animal', 'counts', 'hatchlings');
        $this->eggs = $clutch->eggs()->with('events')->get();
        $this->inHand = $inHand === null ? null : $this->eggs->firstWhere('id', $inHand);
    }

    /**
     * Lays out as many eggs as were laid, numbered on from those that are there: the good ones first, then the slugs.
     *
     * @return int eggs laid out
     */
    public static function layOut(Clutch $clutch): int
    {
        $there = $clutch->eggs()->get();
        $used = (int) $clutch->eggs()->withTrashed()->max('number');
        $missing = [
            ...array_fill(0, max(0, (int) $clutch->eggs_good - $there->where('slug', false)->count()), false),
            ...array_fill(0, max(0, (int) $clutch->eggs_infertile - $there->where('slug', true)->count()), true),
        ];
        foreach ($missing as $i => $isSlug) {
            $place = $there->count() + $i;
            $row = intdiv($place, self::IN_A_ROW);
            $clutch->eggs()->create([
                'number' => $used + $i + 1, 'slug' => $isSlug,
                'across' => min(92, 14 + ($place % self::IN_A_ROW) * 17 + ($row % 2 === 0 ? 0 : 8)), 'down' => min(88, 20 + $row * 27),
            ]);
        }

        return count($missing);
    }

    /** What the house would say to opening an egg of the clutch on a day; null where nothing. */
    public static function objection(Clutch $clutch, House $house, Carbon $on): ?string
    {
        $laid = $clutch->laid_on;
        $pipped = $clutch->events->contains(
            fn (ClutchEvent $event): bool => in_array($event->kind, [EventKind::Pipped, EventKind::Out, EventKind::Hatched], true)
                && ($event->on === null || $event->on->lte($on)),
        );

        return $house->opening()->objection($laid === null ? null : (int) $laid->diffInDays($on), $pipped, $house->number('opening_day'));
    }

    public function objectionToday(): ?string
    {
        return self::objection($this->clutch, $this->house, Carbon::today());
    }

    /** Days since laying. */
    public function day(): ?int
    {
        return $this->clutch->laid_on === null ? null : (int) $this->clutch->laid_on->diffInDays(Carbon::today());
    }

    /** Eggs that the laying counts and the box does not show yet; negative where the box shows more. */
    public function missing(): int
    {
        return (int) $this->clutch->eggs_good + (int) $this->clutch->eggs_infertile - $this->eggs->count();
    }

    /** Eggs logged as gone without a number, so that the box cannot show which. */
    public function goneUnnamed(): int
    {
        return $this->clutch->eggsGone() - $this->eggs->filter(fn (Egg $egg): bool => $egg->state()->isFinal())->count();
    }

    /** @return array<string, int> eggs by state, in words, the usual order */
    public function byState(): array
    {
        $all = [];
        foreach (EggState::cases() as $state) {
            $count = $this->eggs->filter(fn (Egg $egg): bool => $egg->state() === $state)->count();
            $count === 0 ?: $all[$state->words()] = $count;
        }

        return $all;
    }

    /** @return string what is to be said of an egg in a sentence, for those who do not see the box */
    public function words(Egg $egg): string
    {
        return implode(', ', array_filter([
            "Egg {$egg->number}: {$egg->state()->words()}",
            ...array_map(fn (EventKind $kind): string => $kind->words(), $egg->troubles()),
            $egg->marked ? 'top marked' : null, $egg->apart ? 'lay apart' : null,
            $egg->clump === null ? null : "in clump {$egg->clump}", $egg->grams === null ? null : "{$egg->grams} g",
        ]));
    }

    /** Weight of the eggs that were weighed, in grams; null where none was. */
    public function grams(): ?int
    {
        $weighed = $this->eggs->whereNotNull('grams');

        return $weighed->isEmpty() ? null : (int) $weighed->sum('grams');
    }

    /** @return list<Egg> eggs of which a hatchling can still come */
    public function open(): array
    {
        return array_values($this->eggs->filter(fn (Egg $egg): bool => $egg->state()->isOpen())->all());
    }

    /** Eggs whose weight is known. */
    public function weighed(): int
    {
        return $this->eggs->whereNotNull('grams')->count();
    }
}
