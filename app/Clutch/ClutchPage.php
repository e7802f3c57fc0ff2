<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Opened;
use App\Health\Malformed;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\ClutchCount;
use App\Models\ClutchSire;
use App\Money\Book;
use App\Money\ClutchWorth;
use App\Pairing\PairingCheck;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Pairing\Advice\Verdict;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;

/** What the page of a clutch shows. */
class ClutchPage
{
    /** @var list<AnimalCard> */
    public readonly array $hatchlings;

    private readonly Beliefs $beliefs;

    public readonly StillToCome $still;

    /** @param string $hoped a target as typed, or empty */
    public function __construct(public readonly Clutch $clutch, private readonly Opened $opened, string $hoped = '')
    {
        $clutch->load('dam', 'sires.animal', 'counts', 'eggs', 'hatchlings.observations', 'hatchlings.latestFeed', 'incubator');
        $this->beliefs = $opened->beliefs();
        $this->still = new StillToCome($clutch, $hoped, $opened);
        $this->hatchlings = array_values(
            $clutch->hatchlings->map(
                fn (Animal $animal): AnimalCard => new AnimalCard($animal, $this->beliefs, $opened->shelf->catalogue()),
            )->all(),
        );
    }

    public function cardOf(Animal $animal): ?AnimalCard
    {
        foreach ($this->hatchlings as $card) {
            if ($card->animal->id === $animal->id) {
                return $card;
            }
        }

        return null;
    }

    /** The eggs as they stand, and the hatchlings out of them. */
    public function line(): EggLine
    {
        return new EggLine($this->clutch);
    }

    /** What happened, in a line: "6 events, last laid on 6 Oct 2026". */
    public function happened(): string
    {
        $events = $this->clutch->events->whereNull('egg_id');
        $count = $events->count();

        return $count === 0 ? 'nothing logged yet' : ($count === 1 ? '' : "{$count} events, last ").$events->last()?->sentence();
    }

    /** @return list<Animal> the possible sires of the collection */
    public function sires(): array
    {
        return array_values($this->clutch->sires->map(fn (ClutchSire $sire): ?Animal => $sire->animal)->filter()->all());
    }

    public function malformed(): Malformed
    {
        return new Malformed([$this->clutch], $this->opened);
    }

    public function money(int $minor): string
    {
        return $this->opened->house->money($minor);
    }

    /** What it is worth by the price book; null where the book is empty. */
    public function worth(): ?ClutchWorth
    {
        $book = new Book($this->opened);

        return $book->isEmpty() ? null : new ClutchWorth($this->clutch, $book, $this->opened);
    }

    /** Events that are told at single eggs. */
    public function ofSingleEggs(): int
    {
        return $this->clutch->events->whereNotNull('egg_id')->count();
    }

    /** What a further hatchling is called by for now: with the number of its egg, or the next one. */
    public function nextName(mixed $egg): string
    {
        return NewHatchling::name(
            $this->clutch, is_string($egg) && ctype_digit($egg) && strlen($egg) < 4 ? (int) $egg : count($this->hatchlings) + 1,
        );
    }

    /** How many have hatched that are neither animals here nor counted. */
    public function withoutRecord(): int
    {
        return max(0, $this->unaccounted());
    }

    private function seen(): int
    {
        return (int) $this->clutch->counts->where('dead', false)->sum(fn (ClutchCount $count): int => $count->count);
    }

    private function unaccounted(): int
    {
        $shared = $this->beliefs->kin->tallyOf($this->clutch->id)->shared;

        return ($this->clutch->hatched ?? 0) - count($this->hatchlings) - $this->seen() + $shared;
    }

    /** How the eggs add up, and what is still without an account. */
    public function account(): string
    {
        $kept = count($this->hatchlings);
        $seen = $this->seen();
        $dead = (int) $this->clutch->counts->where('dead', true)->sum(fn (ClutchCount $count): int => $count->count);
        $slugs = $this->clutch->eggs_infertile;
        $parts = array_filter([
            $this->clutch->eggs_good === null ? null : "{$this->clutch->eggs_good} good eggs",
            $slugs === null ? null : $slugs.($slugs === 1 ? ' slug' : ' slugs'),
            $this->clutch->hatched === null ? null : "{$this->clutch->hatched} hatched",
            $dead === 0 ? null : "{$dead} seen dead in the egg",
            $kept === 0 && $this->clutch->hatched === null ? null : "{$kept} added as animals",
            $seen === 0 && $this->clutch->hatched === null ? null : "{$seen} counted",
        ]);
        $tally = $this->beliefs->kin->tallyOf($this->clutch->id);
        $open = $this->unaccounted();
        $both = $tally->shared === 0
            ? ''
            : '. '.$tally->shared.' of the counted '.($tally->shared === 1 ? 'is' : 'are')
                .' taken to be kept as animals too: each hatchling counts once';

        return ($parts === [] ? 'No eggs are logged yet' : implode(', ', $parts)).$both.match (true) {
            $this->clutch->hatched === null => '.',
            $open > 0 => ". {$open} hatched without a record of how they looked: count them below if you know.",
            $open < 0 => '. That is '.-$open.' more than hatched: one of the figures is wrong.',
            default => '. Nothing missing.',
        };
    }

    /**
     * What the parents as recorded would give of what was counted.
     *
     * @return Rational|null per egg, over the possible sires alike; null where it cannot be told
     */
    public function oddsOf(ClutchCount $count): ?Rational
    {
        $sires = $this->sires();
        if ($sires === [] || count($sires) !== $this->clutch->sires->count()) {
            return null;
        }
        try {
            $target = $this->opened->shelf->targets()->read($count->saw);
            $sum = Rational::zero();
            foreach ($sires as $sire) {
                $sum = $sum->plus(
                    TargetOdds::of(
                        Cross::of(
                            $this->opened->shelf->catalogue(), $this->beliefs->belief($sire->id),
                            $this->beliefs->belief($this->clutch->dam_id),
                        ),
                        $target,
                    )->chance->perEgg(),
                );
            }

            return $sum->dividedBy(Rational::of(count($sires)));
        } catch (DestinoError) {
            return null;
        }
    }

    /** @return list<array{sire: Animal, verdict: Verdict}> what the house rules say of the pairing */
    public function verdicts(): array
    {
        $verdicts = [];
        foreach ($this->sires() as $sire) {
            if (! $sire->trashed() && ! $this->clutch->dam->trashed()) {
                $verdicts[] = ['sire' => $sire, 'verdict' => PairingCheck::of($sire, $this->clutch->dam, $this->opened)];
            }
        }

        return $verdicts;
    }

    /** What the parents as recorded give of what was counted, in words; empty where it cannot be said. */
    public function oddsWords(ClutchCount $count): string
    {
        $odds = $this->oddsOf($count);

        return $odds === null
            ? ''
            : 'expected from these parents: '.OddsWords::perEgg($odds);
    }
}
