<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Catalogue\CatalogueShelf;
use App\Collection\Kept;
use App\Family\Relatedness;
use App\House\House;
use App\Words\OddsWords;
use Destino\Documents\PredictionDocument;
use Destino\Genome\Claim;
use Destino\Genome\Form;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\LeavingOneOut;
use Destino\Pairing\Advice\Verdict;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\By;
use Destino\Pairing\Outcome;
use Destino\Pairing\OutcomeSpace;
use Destino\Pairing\Square;
use Destino\Probability\ClutchChance;
use Destino\Probability\Rational;

/** All that the page of a pairing shows, computed once. */
class PairPage
{
    public const MOST_RUNGS = 20;

    private const MOST_DRAWN = 6;

    public readonly OutcomeSpace $space;

    /** @var list<OutcomeRow> */
    public readonly array $rows;

    /** @var list<Advice> */
    public readonly array $advice;

    /** What the house rules say of it. */
    public readonly Verdict $verdict;

    /** P(the rows listed). */
    public readonly Rational $covered;

    public function __construct(
        public readonly Prediction $prediction,
        public readonly Inquiry $inquiry,
        int $most,
        public readonly ?Relatedness $relatedness,
        House $house,
        private readonly CatalogueShelf $shelf,
        private readonly Kept $kept,
    ) {
        $this->space = $prediction->outcomes();
        $this->rows = array_map((new RowMaker($prediction, $shelf->ownNames()))->row(...), $outcomes = $this->space->top($most), array_keys($outcomes));
        $this->covered = array_reduce(
            $outcomes, fn (Rational $sum, Outcome $outcome): Rational => $sum->plus($outcome->probability), Rational::zero(),
        );
        $this->advice = $prediction->advice();
        $this->verdict = PairingCheck::verdict($this->advice, $relatedness, $house, $shelf);
    }

    /** All outcomes as one area, beside the ladder where there is one. */
    public function tray(): Tray
    {
        $hasLadder = $this->prediction->target !== null && ! $this->isImpossible();

        return new Tray($this->rows, $this->space, $this->unit(), $hasLadder ? 860 : 1180, 380);
    }

    /** The same for a phone. */
    public function narrowTray(): Tray
    {
        return new Tray($this->rows, $this->space, $this->unit(), 350, 430, 14);
    }

    /** @return list<OutcomeRow> the likeliest that live, and those that meet the target first of all: to be drawn large */
    public function looks(): array
    {
        $living = array_values(array_filter($this->rows, fn (OutcomeRow $row): bool => ! $row->outcome->isLethal));
        usort($living, fn (OutcomeRow $a, OutcomeRow $b): int => [$b->isHit(), $a->number] <=> [$a->isHit(), $b->number]);

        return array_slice($living, 0, self::MOST_DRAWN);
    }

    public function headline(): string
    {
        $total = number_format((float) (string) $this->space->total());
        $kind = $this->prediction->question->by === By::Look ? 'looks' : 'genotypes';
        $living = array_values(array_filter($this->rows, fn (OutcomeRow $row): bool => ! $row->outcome->isLethal));
        $most = $living[0] ?? null;
        if ($most === null) {
            return 'Every egg of this pairing dies of its form.';
        }
        if ($total === '1') {
            return "Every egg is the same: {$most->outcome->label}.";
        }
        $ties = number_format((float) (string) $this->space->likeliest());
        $likely = match (true) {
            $ties === $total => "each {$most->oneIn()}",
            $ties !== '1' => "most likely {$ties} of them, {$most->oneIn()} each",
            default => "most likely {$most->outcome->label}, {$most->oneIn()}",
        };

        $lost = $this->prediction->question->hatched ? Rational::zero() : $this->prediction->cross->survival()->complement();
        $deaths = $lost->isZero() ? '' : ' '.OddsWords::fraction($lost).' of the eggs ('.OddsWords::percent($lost).') do not live.';

        return "{$total} {$kind} are possible. ".ucfirst($likely).".{$deaths}";
    }

    public function targetSentence(): string
    {
        $target = $this->prediction->target;
        if ($target === null) {
            return '';
        }
        $why = $target->whyImpossible();
        $chance = $target->chance;
        if ($why !== null) {
            return "This pairing cannot make {$target->target->text}: {$why}";
        }

        return ucfirst($target->target->text).': '.OddsWords::perEgg($chance->perEgg(), $this->unit()).', '
            .OddsWords::clutches($chance, $this->prediction->question->eggs).'.';
    }

    /** Whether the chance of the target is said in words, its fraction being none that can be read. */
    public function hasUnreadableChance(): bool
    {
        return $this->prediction->target !== null && ! OddsWords::isReadable($this->prediction->target->chance->perEgg());
    }

    public function unit(): string
    {
        return $this->prediction->question->hatched ? 'hatchling' : 'egg';
    }

    public function isImpossible(): bool
    {
        return $this->prediction->target?->whyImpossible() !== null;
    }

    /**
     * The rungs of the ladder: the chance of at least one hit, by eggs.
     *
     * @return list<array{eggs: int, one: Rational, two: Rational, expected: float}>
     */
    public function rungs(ClutchChance $chance): array
    {
        $rungs = [];
        for ($eggs = 1; $eggs <= max(self::MOST_RUNGS, min(60, $this->prediction->question->eggs)); $eggs++) {
            $rungs[] = [
                'eggs' => $eggs, 'one' => $chance->atLeastOne($eggs), 'two' => $chance->atLeastTwo($eggs),
                'expected' => $chance->expected($eggs)->toFloat(),
            ];
        }

        return $rungs;
    }

    /** @return array<int, int|null> eggs by level in percent */
    public function eggsFor(ClutchChance $chance): array
    {
        $needed = [];
        foreach (PredictionDocument::LEVELS as $level) {
            $needed[$level] = $chance->eggsFor(Rational::of($level, 100));
        }

        return $needed;
    }

    /** @return list<Square> the squares of the groups at which something segregates or may be carried */
    public function squares(): array
    {
        return Square::allOf($this->prediction->cross);
    }

    /** @return list<Claim> disputes on which something in the answer rests; asking each school is kept */
    public function claims(): array
    {
        $asked = [$this->prediction->question, $this->prediction->catalogue->schools, $this->shelf->fingerprint()];
        $name = 'disputes:'.hash('xxh128', serialize($asked));
        $keys = $this->kept->get($name);
        if (! is_array($keys)) {
            $keys = array_map(fn (Claim $claim): string => $claim->key, $this->prediction->disputes());
            $this->kept->put($name, $keys);
        }
        $claims = $this->prediction->catalogue->claims;

        return array_values(array_filter(array_map(fn (string $key): ?Claim => $claims[$key] ?? null, $keys)));
    }

    /** Which genes make the clutch hard to identify, and what leaving one out would give; empty where none does alone. */
    public function leavingOut(): string
    {
        $codes = array_map(fn (Advice $advice): string => $advice->code, $this->advice);
        $less = in_array('told-by-eye', $codes, true) ? array_slice(LeavingOneOut::of($this->prediction->cross), 0, 2) : [];
        $parts = array_map(fn (array $one): string => "without {$one['name']} ".OddsWords::percent($one['unread']), $less);

        return $parts === [] ? '' : 'What hides most: '.implode(', ', $parts).' would carry something you cannot see.';
    }

    public function names(Form $form): string
    {
        return $form->text === '' ? 'wild type' : $form->text;
    }

    /** @return list<Advice> what does not stand with the house rules already */
    public function furtherAdvice(): array
    {
        return array_values(array_filter($this->advice, fn (Advice $one): bool => ! in_array($one, $this->verdict->because, true)));
    }

    /** @return list<Advice> advice that concerns one of these loci */
    public function adviceOn(string $locus): array
    {
        return array_values(array_filter($this->advice, fn (Advice $advice): bool => in_array($locus, $advice->loci, true)));
    }
}
