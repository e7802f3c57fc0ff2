<?php

declare(strict_types=1);

namespace App\Prove;

use App\Collection\Beliefs;
use App\Collection\CoreId;
use App\Models\Clutch;
use App\Words\OddsWords;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Conclusions\Kindred;

/**
 * How an animal came to what is believed of it at a group: before its young, after each clutch, and now.
 *
 * @phpstan-type Step array{label: string, note: string, shares: array<string, float>, without: string|null}
 * @phpstan-type Said array{text: string, without: string}
 */
class Evidence
{
    /**
     * @param  list<Clutch>  $clutches  of the animal, oldest first
     * @param  list<int>  $further  clutches of its young and of theirs
     */
    public function __construct(
        private readonly Question $question,
        private readonly Beliefs $beliefs,
        private readonly array $clutches,
        private readonly array $further,
    ) {}

    /**
     * Only what is believed now.
     *
     * @return Step
     */
    public static function asItIs(Question $question): array
    {
        return ['label' => 'Now', 'note' => '', 'shares' => $question->answers(), 'without' => null];
    }

    /** @return list<Step> in the order of time; the last is now */
    public function steps(): array
    {
        $ids = array_map(fn (Clutch $clutch): int => $clutch->id, $this->clutches);
        $steps = [[
            'label' => 'Statements, parents and their other young', 'note' => 'without young of its own',
            'shares' => $ids === [] && $this->further === []
                ? $this->now()
                : $this->shares($this->beliefs->kin->without([...$ids, ...$this->further])),
            'without' => null,
        ]];
        $last = $steps[0]['shares'];
        foreach ($this->clutches as $i => $clutch) {
            $shares = $this->shares($this->beliefs->kin->without([...array_slice($ids, $i + 1), ...$this->further]));
            if (self::differ($shares, $last)) {
                $alone = $this->shares($this->beliefs->kin->without([$clutch->id]));
                $steps[] = [
                    'label' => $clutch->title(), 'note' => ($clutch->hatched ?? '?').' hatched', 'shares' => $shares,
                    'without' => OddsWords::shares($alone),
                ];
            }
            $last = $shares;
        }
        $now = $this->now();
        if (self::differ($now, $last)) {
            $steps[] = [
                'label' => 'What their young showed in turn', 'note' => count($this->further).' clutches of its descendants',
                'shares' => $now, 'without' => OddsWords::shares($last),
            ];
        }

        return array_map(fn (array $step): array => ['shares' => self::inOrder($step['shares'], $now)] + $step, $steps);
    }

    /** @return list<Said> the animal's own statements, and what would be believed without each */
    public function statements(): array
    {
        $now = $this->now();
        $told = [];
        foreach ($this->question->animal->statements as $statement) {
            $without = $this->shares($this->beliefs->kin->without([], [(string) $statement->id]));
            if (self::differ($without, $now)) {
                $told[] = ['text' => "“{$statement->text}”, {$statement->byWhom()}", 'without' => OddsWords::shares($without)];
            }
        }

        return $told;
    }

    /** @return array<string, float> as it is believed, and kept */
    private function now(): array
    {
        return $this->question->answers();
    }

    /** @return array<string, float> P(answer) by words */
    private function shares(Kindred $kindred): array
    {
        $id = CoreId::of($this->question->animal->id);
        $family = $kindred->familyOf($id);
        $groups = $family === null ? null : $this->setOf($kindred, $family);
        if ($family === null || $groups === null) {
            return [Question::NOTHING => 1.0];
        }
        $plain = $kindred->plain($family, $groups);
        $states = ($plain->isDisputed ? $kindred->posterior($family, $groups) : $plain)->of[$id] ?? null;
        if ($states === null) { // nothing could be concluded from the relatives
            return $this->now();
        }
        $shares = [];
        foreach ($states->entries() as [$state, $chance]) {
            $words = $this->question->answerOf($state->at($this->question->group));
            $shares[$words] = ($shares[$words] ?? 0.0) + $chance->toFloat();
        }
        arsort($shares);

        return self::inOrder($shares, $shares);
    }

    /** @return list<LinkageGroup>|null */
    private function setOf(Kindred $kindred, int $family): ?array
    {
        foreach ($kindred->groupSetsOf($family) as $groups) {
            foreach ($groups as $group) {
                if ($group->key === $this->question->group->key) {
                    return $groups;
                }
            }
        }

        return null;
    }

    /**
     * The same order at every step, so that an answer keeps its place and its tone.
     *
     * @param  array<string, float>  $shares
     * @param  array<string, float>  $now
     * @return array<string, float>
     */
    private static function inOrder(array $shares, array $now): array
    {
        $ordered = [];
        $now = array_diff_key($now, [Question::NOTHING => 0]);
        foreach (
            [...array_keys($now), ...array_diff(array_keys($shares), array_keys($now), [Question::NOTHING]), Question::NOTHING] as $words
        ) {
            $ordered[$words] = $shares[$words] ?? 0.0;
        }

        return $ordered;
    }

    /**
     * @param  array<string, float>  $a
     * @param  array<string, float>  $b
     */
    private static function differ(array $a, array $b): bool
    {
        foreach ($a + $b as $words => $_) {
            if (abs(($a[$words] ?? 0.0) - ($b[$words] ?? 0.0)) > 1e-9) {
                return true;
            }
        }

        return false;
    }
}
