<?php

declare(strict_types=1);

namespace App\Projects;

use App\Words\OddsWords;

/**
 * What a plan asks for now: what to buy, whom to mate and why, what to keep of what may hatch.
 *
 * @phpstan-type Advised array{sire: string, dam: string, pair: string, why: string, worth: string, before: string, warns: string,
 *     link: string|null, forbid: string|null}
 */
class Now
{
    /**
     * @param array{
     *     buy: list<array<string, mixed>>, buy_later?: list<array<string, mixed>>, matings: list<array<string, mixed>>,
     *     keep: list<array<string, mixed>>
     * } $now of the plan's document
     */
    public function __construct(private readonly array $now, private readonly ProjectPage $page) {}

    /**
     * @return list<array{genes: string, sex: string, cents: int, from: string}> from: the year in which it is to be had, where that
     *     is not now
     */
    public function purchases(): array
    {
        return array_map(
            fn (array $buy): array => [
                'genes' => $buy['genes'], 'sex' => $buy['sex'], 'cents' => (int) round(100 * $buy['price']),
                'from' => isset($buy['from_season']) ? $this->page->year($buy['from_season'] - 1) : '',
            ],
            $this->now['buy'],
        );
    }

    /** @return list<array{genes: string, sex: string, cents: int}> to buy in a later season, each if nothing as good has hatched by then */
    public function later(): array
    {
        return array_map(
            fn (array $buy): array => ['genes' => $buy['genes'], 'sex' => $buy['sex'], 'cents' => (int) round(100 * $buy['price'])],
            $this->now['buy_later'] ?? [], // plans of before have none
        );
    }

    /** @return list<Advised> the worthiest first */
    public function matings(): array
    {
        return array_map(fn (array $mating): array => [
            'sire' => $mating['sire'], 'dam' => $mating['dam'],
            'pair' => $this->name($mating['sire']).' × '.$this->name($mating['dam']),
            'why' => $mating['target_an_egg'] > 0
                ? OddsWords::share($mating['target_an_egg']).' of hatchlings are the target'
                : 'makes breeders for the next step',
            'worth' => WorthWords::clear($mating, $this->page->year($this->page->project->horizon)),
            'before' => $this->page->seenBefore($mating['sire'], $mating['dam']),
            'warns' => $this->page->warnings($mating['sire'], $mating['dam']),
            'link' => $this->link($mating),
            'forbid' => $this->ids($mating) === null ? null : implode(':', $this->ids($mating)),
        ], $this->now['matings']);
    }

    /** What is true of several pairs, once: those without which the plan would come to the same. */
    public function spare(): string
    {
        $year = $this->page->year($this->page->project->horizon);
        $spare = array_values(array_filter(
            $this->now['matings'], static fn (array $one): bool => $one['worth'] !== null && WorthWords::clear($one, $year) === '',
        ));

        return match (true) {
            $spare === [] => '',
            count($this->now['matings']) === 1 => 'Another pair would do as well.',
            count($spare) === 1 => "{$this->name($spare[0]['sire'])} × {$this->name($spare[0]['dam'])} can be left out: another pair would do as well.",
            default => (count($spare) === count($this->now['matings']) ? 'Any one of these' : 'Any one of the others')
                .' can be left out: another pair would do as well.',
        };
    }

    /** Kinds of young that are shown. */
    private const SHOWN = 6;

    /**
     * @return list<array{genes: string, sex: string, expected: string, share: float, keep: bool}> those to keep first; others only
     *     where there are none
     */
    public function young(): array
    {
        return array_map(fn (array $young): array => [
            'genes' => $young['genes'], 'sex' => $young['sex'], 'keep' => $young['keep'],
            'share' => round(min(100.0, 100 * $young['expected']), 1),
            'expected' => $young['expected'] >= 0.95 ? 'about '.number_format($young['expected'], 0) : OddsWords::share($young['expected']),
        ], array_slice($this->kept(), 0, self::SHOWN));
    }

    /** What else may hatch, in a sentence: kinds that would do where none of these hatches, and those that are of no use here. */
    public function others(): string
    {
        $wanted = count(array_filter($this->now['keep'], fn (array $young): bool => $young['keep']));
        $useful = max(0, $wanted - self::SHOWN);
        $others = $wanted === 0 ? max(0, count($this->now['keep']) - self::SHOWN) : count($this->now['keep']) - $wanted;
        $kinds = static fn (int $count, string $more): string => $count === 1 ? "one{$more} kind" : "{$count}{$more} kinds";

        return match (true) {
            $useful > 0 && $others > 0 => ucfirst($kinds($useful, ' more')).' would do where none of these hatches; '
                .$kinds($others, '').' can be let go.',
            $useful > 0 => ucfirst($kinds($useful, ' more')).' would do where none of these hatches.',
            $others > 0 => ucfirst($kinds($others, ' other')).' that may hatch can be let go.',
            default => '',
        };
    }

    /** How many to keep, in a sentence. */
    public function howMany(): string
    {
        $tubs = $this->page->result->first->effort->tubs;

        return match (true) {
            $tubs === null => 'The most useful first. If none of these hatch, repeat the pairs.',
            $tubs === 1 => 'One is enough at any time: the first of these that hatches. If none does, repeat the pairs.',
            default => "{$tubs} at any one time are enough: the first of these that hatch. If none does, repeat the pairs.",
        };
    }

    /** @return list<array<string, mixed>> */
    private function kept(): array
    {
        $kept = array_values(array_filter($this->now['keep'], fn (array $young): bool => $young['keep']));

        return $kept === [] ? $this->now['keep'] : $kept;
    }

    /** Whether there is something to do: to mate or to buy. */
    public function isBusy(): bool
    {
        return $this->now['matings'] !== [] || $this->now['buy'] !== [];
    }

    /** @param array<string, mixed> $mating */
    private function link(array $mating): ?string
    {
        $ids = $this->ids($mating);

        return $ids === null ? null : route('pair', ['sire_id' => $ids[0], 'dam_id' => $ids[1], 'target' => $this->page->project->target]);
    }

    /**
     * @param array<string, mixed> $mating
     * @return array{int, int}|null null where one of the two is still to be bought
     */
    private function ids(array $mating): ?array
    {
        $ids = [...$this->page->animalsOf($mating['sire']), ...$this->page->animalsOf($mating['dam'])];

        return count($ids) === 2 ? [$ids[0], $ids[1]] : null;
    }

    private function name(string $id): string
    {
        foreach ($this->now['buy'] as $buy) {
            if ($buy['id'] === $id) {
                return "{$buy['genes']} (to buy)";
            }
        }

        return $this->page->named($id);
    }
}
