<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Sex;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Probability\Rational;

/** Animals that are joined by parentage, parents before their young, with those from outside and the eggs that were counted. */
final readonly class Family
{
    /**
     * @param array<string, Member> $members animals by id, parents before their young
     * @param array<string, Member> $eggs counted eggs by id
     */
    private function __construct(public array $members, public array $eggs) {}

    /**
     * @param list<Individual> $animals parents before their young
     * @param list<Brood> $broods
     */
    public static function of(array $animals, array $broods): self
    {
        $members = $eggs = [];
        $enrolment = new Enrolment;
        foreach ($animals as $animal) {
            $member = $enrolment->place($animal, null);
            foreach ($member->parents() as $parent) {
                if (isset($enrolment->outsiders[$parent])) {
                    $members[$parent] ??= $enrolment->outsiders[$parent];
                }
            }
            $members[$animal->id] = $member;
        }
        foreach ($broods as $brood) {
            $eggs[$brood->id] = $enrolment->place(null, $brood);
        }

        return new self($members + $enrolment->outsiders, $eggs);
    }

    /** @return list<string> ids of the animals that are recorded */
    public function ids(): array
    {
        return array_values(
            array_map(
                static fn (Member $member): string => $member->id,
                array_filter($this->members, static fn (Member $member): bool => ! $member->isOutsider),
            ),
        );
    }

    public function member(string $id): ?Member
    {
        return $this->members[$id] ?? $this->eggs[$id] ?? null;
    }

    /** @return list<Member> animals and eggs that a wrong sire would concern together */
    public function litter(string $litter): array
    {
        return array_values(
            array_filter(
                [...array_values($this->members), ...array_values($this->eggs)],
                static fn (Member $member): bool => $member->litter === $litter && ! $member->isFounder(),
            ),
        );
    }

    /** @return array<string, list<string>> ids of the young, eggs included, by parent */
    public function young(): array
    {
        $young = [];
        foreach ([...$this->members, ...$this->eggs] as $member) {
            foreach (array_unique($member->parents()) as $parent) {
                $young[$parent][] = $member->id;
            }
        }

        return $young;
    }

    /** @param callable(Member): Member $change */
    public function map(callable $change): self
    {
        return new self(array_map($change, $this->members), array_map($change, $this->eggs));
    }

    /** The family as it is where another male is the sire of a litter: one more member, from outside the family's own records. */
    public function withOtherSire(string $litter): self
    {
        $id = self::otherSireOf($litter);
        $replaced = static fn (Member $member): Member => $member->litter !== $litter || $member->isFounder() ? $member
            : new Member(
                $member->id, $member->sex, [$id], [Rational::one()], $member->dam, $litter, $litter, $member->animal,
                $member->brood,
            );

        return new self(
            [$id => Member::outsider($id, Sex::Male)] + array_map($replaced, $this->members),
            array_map($replaced, $this->eggs),
        );
    }

    public static function otherSireOf(string $litter): string
    {
        return Member::OUTSIDE.'other '.$litter;
    }

    /** @return list<string> a member and everybody who descends from it */
    public function descendants(string $id): array
    {
        $young = $this->young();
        $found = [$id => true];
        $next = [$id];
        while ($next !== []) {
            foreach ($young[array_pop($next)] ?? [] as $child) {
                if (! isset($found[$child])) {
                    $found[$child] = true;
                    $next[] = $child;
                }
            }
        }

        return array_map(strval(...), array_keys($found));
    }

    /**
     * The part of a family within some steps of parent and young around some members; who stands at its edge is a founder of it.
     *
     * @param list<string> $ids
     */
    public function around(array $ids, int $steps): self
    {
        $young = $this->young();
        $near = array_fill_keys($ids, true);
        $last = $ids;
        for ($step = 0; $step < $steps; $step++) {
            $next = [];
            foreach ($last as $id) {
                foreach ([...$this->member($id)?->parents() ?? [], ...$young[$id] ?? []] as $other) {
                    if (! isset($near[$other])) {
                        $near[$other] = true;
                        $next[] = $other;
                    }
                }
            }
            $last = $next;
        }

        return $this->only($near);
    }

    /** @param array<string, true> $near */
    private function only(array $near): self
    {
        $members = $eggs = [];
        foreach ([...$this->members, ...$this->eggs] as $id => $member) {
            $isWhole = array_diff($member->parents(), array_map(strval(...), array_keys($near))) === [];
            if (! isset($near[$id]) || ($member->isEggs() && ! $isWhole)) {
                continue;
            }
            if ($member->isEggs()) {
                $eggs[$id] = $member;
            } else {
                $members[$id] = $isWhole
                    ? $member
                    : new Member($member->id, $member->sex, [], [], null, $member->id, $member->id, $member->animal);
            }
        }

        return new self($members, $eggs);
    }
}
