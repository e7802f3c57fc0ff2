<?php

declare(strict_types=1);

namespace App\Money;

use App\Collection\Statuses;
use App\Models\Animal;
use App\Models\Booking;
use App\Models\Enums\BookingKind;
use App\Models\Enums\Status;
use App\Models\StatusEvent;
use App\Models\User;
use Destino\Money\Money;
use Illuminate\Support\Collection;

/**
 * The account of a year: animals bought and sold from their own records, everything else from what was booked. Each amount
 * stands in one place and is counted once.
 */
class Ledger
{
    /** With fewer meals logged, most were not. */
    private const ENOUGH_MEALS = 20;

    /** @var Collection<int, Animal> bought in the year, with their price */
    public readonly Collection $bought;

    /** @var Collection<int, Animal> sold in the year, those without a price too */
    public readonly Collection $sold;

    /** @var Collection<int, Animal> reserved now, with a deposit */
    public readonly Collection $deposits;

    /** @var Collection<int, Booking> of the year, the latest first */
    public readonly Collection $bookings;

    /** @var array<int, StatusEvent> by animal: when it was sold */
    private array $soldOn = [];

    public function __construct(private readonly User $keeper, public readonly string $year, private readonly string $currency)
    {
        $in = fn (?string $day): bool => $day !== null && str_starts_with($day, $year);
        $animals = $keeper->animals()->with('sale')->orderBy('name')->get();
        $this->bought = $animals->filter(fn (Animal $one): bool => $one->price_cents !== null && $in($one->acquired_on?->format('Y-m-d')))
            ->values()->toBase();
        $statuses = Statuses::of($keeper);
        $events = StatusEvent::query()->where('user_id', $keeper->id)->where('status', Status::Sold)->orderBy('on')->orderBy('id')->get()
            ->keyBy('animal_id');
        foreach ($animals as $one) {
            $event = $events->get($one->id);
            if ($event !== null && $statuses->status($one->id) === Status::Sold) {
                $this->soldOn[$one->id] = $event;
            }
        }
        $this->sold = $animals->filter(
            fn (Animal $one): bool => isset($this->soldOn[$one->id]) && $in($this->soldOn[$one->id]->on->format('Y-m-d')),
        )->values()->toBase();
        $this->deposits = $animals->filter(
            fn (Animal $one): bool => $one->sale?->deposit !== null && $statuses->status($one->id) === Status::Reserved,
        )->values()->toBase();
        $this->bookings = $keeper->bookings()->with('animal', 'project')->get()
            ->filter(fn (Booking $one): bool => $in($one->on->format('Y-m-d')))->values()->toBase();
    }

    public function soldOn(Animal $animal): string
    {
        return ($this->soldOn[$animal->id] ?? null)?->on->format('j M Y') ?? '';
    }

    public function unpriced(): int
    {
        return $this->sold->filter(fn (Animal $one): bool => $one->sale?->price === null)->count();
    }

    /** Animals with a price paid and no day: they stand in no year. */
    public function undated(): int
    {
        return $this->keeper->animals()->whereNotNull('price_cents')->whereNull('acquired_on')->count();
    }

    public function sales(): Money
    {
        return $this->sum($this->sold->map(fn (Animal $one): int => $one->sale->price ?? 0));
    }

    public function purchases(): Money
    {
        return $this->sum($this->bought->map(fn (Animal $one): int => (int) $one->price_cents));
    }

    public function held(): Money
    {
        return $this->sum($this->deposits->map(fn (Animal $one): int => $one->sale->deposit ?? 0));
    }

    public function of(BookingKind $kind): Money
    {
        return $this->sum($this->bookings->where('kind', $kind)->map(fn (Booking $one): int => $one->amount));
    }

    public function income(): Money
    {
        return $this->sales()->plus($this->of(BookingKind::Income));
    }

    public function costs(): Money
    {
        $costs = $this->purchases();
        foreach (BookingKind::cases() as $kind) {
            $costs = $kind->isIncome() ? $costs : $costs->plus($this->of($kind));
        }

        return $costs;
    }

    public function result(): Money
    {
        return $this->income()->minus($this->costs());
    }

    /**
     * Income, costs and the balance since January, month by month; each amount stands in the month of its day, and counts as it does in
     * the account.
     *
     * @return list<array{month: int, income: Money, costs: Money, balance: Money}>
     */
    public function byMonth(): array
    {
        $minor = array_fill(1, 12, ['income' => 0, 'costs' => 0]);
        foreach ($this->sold as $one) {
            $minor[(int) $this->soldOn[$one->id]->on->format('n')]['income'] += $one->sale->price ?? 0;
        }
        foreach ($this->bought as $one) {
            $minor[(int) $one->acquired_on?->format('n')]['costs'] += (int) $one->price_cents;
        }
        foreach ($this->bookings as $one) {
            $minor[(int) $one->on->format('n')][$one->kind->isIncome() ? 'income' : 'costs'] += $one->amount;
        }
        $months = [];
        $balance = 0;
        foreach ($minor as $month => $sums) {
            $balance += $sums['income'] - $sums['costs'];
            $months[] = [
                'month' => $month, 'income' => Money::of($sums['income'], $this->currency),
                'costs' => Money::of($sums['costs'], $this->currency), 'balance' => Money::of($balance, $this->currency),
            ];
        }

        return $months;
    }

    /** Meals taken in the year. */
    public function meals(): int
    {
        return $this->keeper->animals()->join('care_entries', 'care_entries.animal_id', '=', 'animals.id')
            ->whereNull('care_entries.deleted_at')
            ->where('care_entries.kind', 'feed')->where('care_entries.outcome', 'taken')
            ->whereBetween('care_entries.on', ["{$this->year}-01-01", "{$this->year}-12-31"])->count();
    }

    /** What a meal cost, where feed was booked and enough meals were logged to tell. */
    public function perMeal(): ?Money
    {
        $feed = $this->of(BookingKind::Feed)->minor;
        $meals = $this->meals();

        return $feed === 0 || $meals < self::ENOUGH_MEALS ? null : Money::of((int) round($feed / $meals), $this->currency);
    }

    /** @return list<array{name: string, spent: Money, earned: Money}> what was booked for each project */
    public function byProject(): array
    {
        $projects = [];
        foreach ($this->bookings->whereNotNull('project_id')->groupBy('project_id') as $bookings) {
            $sum = fn (bool $isIncome): Money => $this->sum(
                $bookings->filter(
                    fn (Booking $one): bool => $one->kind->isIncome() === $isIncome,
                )->map(fn (Booking $one): int => $one->amount),
            );
            $projects[] = ['name' => $bookings[0]->project->name ?? '', 'spent' => $sum(false), 'earned' => $sum(true)];
        }

        return $projects;
    }

    /** @return list<string> years in which something stands, the latest first, this one among them */
    public function years(): array
    {
        return $this->keeper->bookings()->pluck('on')->map(fn ($on): string => $on->format('Y'))
            ->merge(
                $this->keeper->animals()->whereNotNull('price_cents')->pluck('acquired_on')->filter()
                    ->map(fn ($on): string => $on->format('Y')),
            )
            ->merge(array_map(fn (StatusEvent $event): string => $event->on->format('Y'), $this->soldOn))
            ->push($this->year, now()->format('Y'))->unique()->sortDesc()->values()->all();
    }

    /** @param Collection<array-key, int> $amounts */
    private function sum(Collection $amounts): Money
    {
        return $amounts->reduce(
            fn (Money $sum, int $amount): Money => $sum->plus(Money::of($amount, $this->currency)), Money::zero($this->currency),
        );
    }
}
