<?php

declare(strict_types=1);

namespace App\Collection;

use App\Drawing\Bead;
use App\House\House;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\Enums\Precision;
use App\Models\Enums\Status;
use DateTimeImmutable;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Husbandry\Readiness;
use Destino\Husbandry\Weighing;
use Destino\Notation\Target;
use Destino\Pairing\Transmission;
use Destino\Probability\Rational;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** An animal as a list or a record shows it. */
class AnimalCard
{
    private ?Readiness $readiness = null;

    private ?Rational $chance = null;

    /** @var list<Weighing>|null where they were looked up for many animals at once */
    private ?array $weighings = null;

    public function __construct(
        public readonly Animal $animal,
        private readonly Beliefs $beliefs,
        private readonly Catalogue $catalogue,
        private readonly ?Target $wanted = null,
        private readonly ?Status $status = null,
    ) {}

    public function status(): Status
    {
        return $this->status ?? $this->animal->status();
    }

    public function belief(): Belief
    {
        return $this->beliefs->belief($this->animal->id);
    }

    /** Age in days; a grown animal's where it is not known. */
    public function days(): int
    {
        return $this->animal->hatched_on === null ? 1000 : max(0, (int) $this->animal->hatched_on->diffInDays(Carbon::today()));
    }

    /** What is believed, in the printer's words. */
    public function genotype(): string
    {
        return $this->animal->hasOpenGenes() ? 'genes not known' : $this->beliefs->text($this->animal->id);
    }

    public function hasConflict(): bool
    {
        return $this->beliefs->hasConflict($this->animal->id);
    }

    public function isUnreadable(): bool
    {
        return $this->beliefs->unreadable($this->animal->id) !== [];
    }

    /** P(the animal meets what was looked for); null where nothing was. An animal of unknown sex is either with 1/2. */
    public function chance(): ?Rational
    {
        return $this->wanted === null ? null : $this->chance ??= $this->chanceOf($this->wanted);
    }

    private function chanceOf(Target $wanted): Rational
    {
        $sex = $this->animal->sex;
        if (($sex !== null && ! $wanted->acceptsSex($sex)) || $this->isOutOfQuestion($wanted)) {
            return Rational::zero();
        }
        if ($sex === null && $wanted->sex !== null) {
            return $this->beliefs->chanceOf($wanted->withSex($this->belief()->sex), $this->animal->id)->times(Rational::of(1, 2));
        }

        return $this->beliefs->chanceOf($wanted, $this->animal->id);
    }

    /** Whether the target cannot be met, as the loci alone tell: cheaper than the whole belief. */
    private function isOutOfQuestion(Target $wanted): bool
    {
        $groups = $this->beliefs->groups($this->animal->id);
        foreach ($wanted->loci() as $locus) {
            if (
                ! in_array($this->catalogue->groupOf($locus)->key, $groups, true)
                && ! $wanted->accepts($this->catalogue->form($locus, Allele::WILD, Allele::WILD))
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Bead> */
    public function beads(): array
    {
        return $this->beliefs->beads($this->animal->id);
    }

    /** @return list<array{Allele, Rational}> what it passes on, with the chance per egg */
    public function passesOn(): array
    {
        return Transmission::of($this->belief(), $this->catalogue);
    }

    /**
     * Looks the last weights of many animals up at once: enough to tell who is ready, not when.
     *
     * @param  list<self>  $cards
     */
    public static function weigh(array $cards): void
    {
        $ids = CareEntry::latestOf(array_map(fn (self $card): int => $card->animal->id, $cards), CareKind::Weight);
        $weighings = [];
        foreach (DB::table('care_entries')->whereIntegerInRaw('id', $ids)->get(['animal_id', 'on', 'grams']) as $row) {
            $weighings[$row->animal_id][] = new Weighing(new DateTimeImmutable($row->on), (int) $row->grams);
        }
        foreach ($cards as $card) {
            $card->weighings = $weighings[$card->animal->id] ?? [];
        }
    }

    /**
     * Looks the weights of some animals up at once, with what is needed to tell when they will be ready.
     *
     * @param  list<self>  $cards
     */
    public static function weighAll(array $cards): void
    {
        $weighings = self::weighingsOf(array_map(fn (self $card): int => $card->animal->id, $cards));
        foreach ($cards as $card) {
            $card->weighings = $weighings[$card->animal->id] ?? [];
        }
    }

    /**
     * @param  list<int>  $animals
     * @return array<int, list<Weighing>> of the last two years by animal
     */
    private static function weighingsOf(array $animals): array
    {
        $weighings = [];
        $rows = DB::table('care_entries')->whereIntegerInRaw('animal_id', $animals)
            ->where('kind', CareKind::Weight->value)
            ->whereNull('deleted_at')
            ->where('on', '>=', Carbon::today()->subYears(2)->format('Y-m-d'))
                ->orderBy('on')
                ->orderBy('id')
                ->get(['animal_id', 'on', 'grams']);
        foreach ($rows as $row) {
            $weighings[$row->animal_id][] = new Weighing(new DateTimeImmutable($row->on), (int) $row->grams);
        }

        return $weighings;
    }

    /** Ready to breed or not, by the rules of the house. */
    public function readiness(House $house, ?Carbon $today = null): Readiness
    {
        return $this->readiness ??= Readiness::assess(
            $this->animal->sex === null ? null : $this->animal->isMale(),
            $this->animal->hatched_on?->toDateTimeImmutable(),
            $this->weighings ?? self::weighingsOf([$this->animal->id])[$this->animal->id] ?? [],
            $house->breeding(),
            ($today ?? Carbon::today())->toDateTimeImmutable(),
            array_values(array_filter([$this->status()->whyNotPaired()])),
        );
    }

    /** Younger animals are told by days and weeks. */
    private const WEEKS = 90;

    /** "4 years 3 months", "6 weeks", "5 days"; empty where the hatch date is not known. */
    public function age(?Carbon $today = null): string
    {
        if ($this->animal->hatched_on === null) {
            return '';
        }
        $months = (int) $this->animal->hatched_on->diffInMonths($today ?? Carbon::today());
        $years = intdiv($months, 12);
        $count = fn (int $number, string $word): string => "{$number} {$word}".($number === 1 ? '' : 's');
        if ($this->animal->hatched_precision === Precision::Year) {
            return 'about '.$count($years, 'year');
        }
        $days = max(0, (int) $this->animal->hatched_on->diffInDays($today ?? Carbon::today()));
        if ($days < self::WEEKS && $this->animal->hatched_precision === Precision::Day) {
            return $days === 0 ? 'less than a day' : ($days < 21 ? $count($days, 'day') : $count(intdiv($days, 7), 'week'));
        }
        if ($months < 1) {
            return 'less than a month';
        }

        return trim(($years > 0 ? $count($years, 'year') : '').' '.($months % 12 > 0 || $years === 0 ? $count($months % 12, 'month') : ''));
    }
}
