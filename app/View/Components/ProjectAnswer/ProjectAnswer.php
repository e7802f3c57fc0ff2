<?php

declare(strict_types=1);

namespace App\View\Components\ProjectAnswer;

use App\House\House;
use App\Projects\PlanSentence;
use App\Projects\ProjectDrawings;
use App\Projects\ProjectPage;
use App\View\Components\Part\Part;
use App\Words\OddsWords;
use Destino\Planning\Given\Aim;

/** What a project comes to: the target drawn, the chance in words and by year, and what more or less effort would come to. */
class ProjectAnswer extends Part
{
    /** A bound above this says nothing. */
    private const CERTAIN = .97;

    public function __construct(public readonly ProjectPage $page, public readonly ProjectDrawings $drawings,
        public readonly House $house) {}

    /** The budget as the end of a sentence; empty where there is none. */
    public function budget(): string
    {
        return $this->page->project->budget === null ? '' : ', budget '.$this->house->money($this->page->project->budget * 100);
    }

    /** What nobody could do better than, where that is short of certain: so that a low chance is not taken for a bad plan. */
    public function bound(): string
    {
        $bound = $this->page->result->bound;
        $reached = array_column($this->page->policy()['probability_by_season'] ?? [], 'decimal');
        if ($bound === null || $reached === []) {
            return '';
        }
        $bound = max($bound, ...$reached); // both have errors of their own: the page never says less than it promises

        return $bound > self::CERTAIN ? '' : 'The best possible: '.self::told($bound).', whatever you pair and keep.';
    }

    /** @return list<array{year: string, share: float, told: string}> */
    public function years(): array
    {
        return array_map(fn (array $at): array => [
            'year' => $this->page->year($at['season']), 'share' => $at['decimal'], 'told' => PlanSentence::reached($at),
        ], $this->page->policy()['probability_by_season'] ?? []);
    }

    /**
     * @return list<array{name: string, count: int, told: string, isPlan: bool}> young kept at one time, and the chance by the end
     *     of the plan
     */
    public function tubs(): array
    {
        $tubs = $this->page->result->tubs;

        return $tubs === null ? [] : self::choices($tubs['chances'], $tubs['advised'], 'Keep ');
    }

    /**
     * @return list<array{name: string, count: int, told: string, isPlan: bool}> clutches in a season; empty where the plan has no
     *     limit of them
     */
    public function clutches(): array
    {
        return self::choices($this->page->result->tubs['clutches'] ?? [], $this->page->result->first->effort->clutches, '');
    }

    /**
     * @return array<string, array{string, list<array{name: string, count: int, told: string, isPlan: bool}>}> name and choices, by
     *     field
     */
    public function efforts(): array
    {
        return array_filter(
            ['tubs' => ['Young kept at one time', $this->tubs()], 'clutches' => ['Clutches a season', $this->clutches()]],
            static fn (array $one): bool => $one[1] !== [],
        );
    }

    /** Whether the keeper has said how much he gives. */
    public function isFixed(): bool
    {
        $aim = Aim::fromArray($this->page->project->aim ?? []);

        return $aim->tubs !== null || $aim->clutches !== null;
    }

    /**
     * @param array<int, float> $chances
     * @return list<array{name: string, count: int, told: string, isPlan: bool}>
     */
    private static function choices(array $chances, ?int $own, string $verb): array
    {
        $choices = [];
        foreach ($chances as $count => $chance) { // what comes to the same as the plan is no choice
            if ($count === $own || $own === null || self::told($chance) !== self::told($chances[$own] ?? 0.0)) {
                $choices[] = ['name' => $verb.$count.':', 'count' => $count, 'told' => self::told($chance), 'isPlan' => $count === $own];
            }
        }

        return count($choices) > 1 ? $choices : [];
    }

    /** What every simulated keeper reached is not sure for that. */
    private static function told(float $share): string
    {
        return OddsWords::share(min($share, .999));
    }
}
