<?php

declare(strict_types=1);

namespace App\Care;

use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\Enums\FeedOutcome;
use Illuminate\Support\Carbon;

/** How an animal stands by its meals and weights: what a round shows beside it, and what makes it worth a look. */
class Standing
{
    /** A weight so much below the best of the last half year, as a share, counts as losing. */
    private const LOSS = .05;

    private const HALF_A_YEAR = 182;

    /** @var list<CareEntry> oldest first */
    private array $meals = [];

    /** @var list<CareEntry> oldest first */
    private array $weights = [];

    public function __construct(private readonly Carbon $today) {}

    /** @param CareEntry $entry in the order of their days */
    public function add(CareEntry $entry): void
    {
        if ($entry->kind === CareKind::Feed) {
            $this->meals[] = $entry;
        } elseif ($entry->kind === CareKind::Weight && $entry->grams !== null) {
            $this->weights[] = $entry;
        }
    }

    public function lastMeal(): ?CareEntry
    {
        return $this->meals === [] ? null : $this->meals[count($this->meals) - 1];
    }

    public function lastWeight(): ?CareEntry
    {
        return $this->weights === [] ? null : $this->weights[count($this->weights) - 1];
    }

    /** Days since it ate; null where no meal is known that it took. */
    public function daysWithoutFood(): ?int
    {
        for ($i = count($this->meals) - 1; $i >= 0; $i--) {
            if (in_array($this->meals[$i]->outcome, [FeedOutcome::Taken, FeedOutcome::Assisted], true)) {
                return max(0, (int) $this->meals[$i]->on->diffInDays($this->today));
            }
        }

        return null;
    }

    /** Refused or brought up again, one after the other, up to now. */
    public function refusals(): int
    {
        $count = 0;
        for ($i = count($this->meals) - 1; $i >= 0
            && in_array($this->meals[$i]->outcome, [FeedOutcome::Refused, FeedOutcome::Regurgitated], true); $i--) {
            $count++;
        }

        return $count;
    }

    /** Fed by hand, since it last took a meal by itself. */
    public function assisted(): int
    {
        $count = 0;
        for ($i = count($this->meals) - 1; $i >= 0 && $this->meals[$i]->outcome !== FeedOutcome::Taken; $i--) {
            $count += $this->meals[$i]->outcome === FeedOutcome::Assisted ? 1 : 0;
        }

        return $count;
    }

    /** Taken one after the other, up to now. */
    public function mealsInARow(): int
    {
        $count = 0;
        for ($i = count($this->meals) - 1; $i >= 0 && $this->meals[$i]->outcome === FeedOutcome::Taken; $i--) {
            $count++;
        }

        return $count;
    }

    /** What it was fed last, which is offered again. */
    public function prey(): ?string
    {
        for ($i = count($this->meals) - 1; $i >= 0; $i--) {
            if ($this->meals[$i]->prey !== null) {
                return $this->meals[$i]->prey;
            }
        }

        return null;
    }

    /** Grams gained since the weight before, below 0 where it lost; null with fewer than two. */
    public function gain(): ?int
    {
        $count = count($this->weights);

        return $count < 2 ? null : (int) $this->weights[$count - 1]->grams - (int) $this->weights[$count - 2]->grams;
    }

    /** Grams below the best of the last half year, where that is much; null where it is not. */
    public function loss(): ?int
    {
        $since = $this->today->copy()->subDays(self::HALF_A_YEAR);
        $grams = array_map(
            fn (CareEntry $one): int => (int) $one->grams, array_filter($this->weights, fn (CareEntry $one): bool => $one->on->gte($since)),
        );
        $last = $this->lastWeight();
        if ($grams === [] || $last === null || $last->on->lt($since)) {
            return null;
        }
        $loss = max($grams) - (int) $last->grams;

        return $loss > self::LOSS * max($grams) ? $loss : null;
    }

    /** Days since it was weighed; null where it never was. */
    public function daysUnweighed(): ?int
    {
        return $this->lastWeight() === null ? null : max(0, (int) $this->lastWeight()->on->diffInDays($this->today));
    }

    /** "2 Nov taken; refused twice" and the like, for a row of the feeding round. */
    public function mealWords(): string
    {
        $last = $this->lastMeal();
        $refusals = $this->refusals();

        return $last === null ? 'no meal logged' : "last {$last->on->format('j M Y')} ".($last->outcome->value ?? '')
            .($refusals > 1 ? ", {$refusals} times in a row" : '').($this->prey() === null ? '' : ", {$this->prey()}");
    }
}
