<?php

declare(strict_types=1);

namespace Destino\Appearance;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;

/** A search for genes: which of them, alone or two together, bring what is wished to this base, and what they spoil. */
final readonly class Design
{
    /** A change of what is to be kept that spoils it. */
    private const SPOILS = .6;

    /** What each unit of a change that nobody asked for costs. */
    private const UNASKED = .12;

    /** Single genes that are tried in pairs. */
    private const PAIRED = 14;

    /** A wish is met as well by this much as by more. */
    private const ENOUGH = 1.6;

    /** @param array<string, WishedFor> $wishes by key of the wish */
    public function __construct(private Catalogue $catalogue, private LookFacts $facts, private array $wishes) {}

    /**
     * @param list<Form> $base what is there already
     * @return list<Proposal> the best first, single genes and pairs
     */
    public function proposals(array $base, int $most): array
    {
        $before = $this->facts->look($this->catalogue, $base);
        $measured = Measured::of($before);
        $single = [];
        foreach ($this->catalogue->alleles as $allele) {
            foreach ($this->formsOf($allele) as $form) {
                $proposal = $this->proposal($before, $measured, $base, [$form]);
                if ($proposal !== null) {
                    $single[] = $proposal;
                }
            }
        }
        usort($single, self::better(...));
        $pairs = [];
        $best = array_slice($single, 0, self::PAIRED);
        foreach ($best as $i => $one) {
            foreach (array_slice($best, $i + 1) as $other) {
                $proposal = $one->forms[0]->locus === $other->forms[0]->locus
                    ? null
                    : $this->proposal($before, $measured, $base, [$one->forms[0], $other->forms[0]]);
                if ($proposal !== null && $proposal->score > max($one->score, $other->score) + .25) {
                    $pairs[] = $proposal;
                }
            }
        }
        $all = [...$single, ...$pairs];
        usort($all, self::better(...));

        $drawn = new Distance($before);

        return array_map(
            fn (Proposal $one): Proposal => $one->warning($this->warnings($drawn, $before, $one->look, [...$base, ...$one->forms])),
            array_slice($all, 0, $most),
        );
    }

    private static function better(Proposal $a, Proposal $b): int
    {
        return [$b->score, count($a->forms), $a->text()] <=> [$a->score, count($b->forms), $b->text()];
    }

    /** @return list<Form> in which the gene shows */
    private function formsOf(Allele $allele): array
    {
        $two = $this->catalogue->twoCopies($allele);
        $forms = $allele->inheritance === Inheritance::Recessive ? [] : [$this->catalogue->oneCopy($allele)];

        $isSame = $forms !== []
            && $this->facts->look($this->catalogue, [$two])->values === $this->facts->look($this->catalogue, $forms)->values;

        return $two->isLethal() || $isSame ? $forms : [...$forms, $two];
    }

    /**
     * @param list<Form> $base
     * @param list<Form> $added
     */
    private function proposal(Look $before, Measured $measured, array $base, array $added): ?Proposal
    {
        $taken = array_map(
            static fn (Form $form): string => $form->locus, array_filter($base, static fn (Form $form): bool => $form->shows !== []),
        );
        foreach ($added as $form) {
            if (in_array($form->locus, $taken, true)) {
                return null; // another allele of the same locus: not beside what is there
            }
        }
        $after = $this->facts->look($this->catalogue, [...$base, ...$added]);
        [$score, $brings, $spoils] = $this->judged($before, $measured, $after);

        return new Proposal($added, $after, $score, $brings, $spoils);
    }

    /** @return array{float, list<string>, list<string>} score, wishes that it meets, wishes that it goes against */
    private function judged(Look $before, Measured $measured, Look $after): array
    {
        $score = 0.0;
        $brings = $spoils = $asked = [];
        $drawn = null;
        foreach (array_intersect_key(Wish::all(), $this->wishes) as $key => $wish) {
            $wanted = $this->wishes[$key];
            $asked += $wish->axes;
            $drawn ??= $wish->isMeasured() ? Measured::of($after) : null;
            $amount = $wish->amount($before, $after, $measured, $drawn) * ($wanted === WishedFor::Less ? -1 : 1);
            if ($wanted === WishedFor::Keep) {
                $moved = $wish->isMeasured() ? abs($amount) : max(0.0, ...array_map(
                    static fn (string $axis): float => abs($after->at($axis) - $before->at($axis)), array_keys($wish->axes),
                ));
                $score -= $moved;
                if ($moved >= self::SPOILS) {
                    $spoils[] = $wish->words;
                }
            } else {
                $score += max(-2.0, min(self::ENOUGH, $amount));
                $amount > .3 ? $brings[] = $wanted->value.' '.$wish->words : ($amount < -.3 ? $spoils[] = $wish->words : null);
            }
        }
        foreach (Difference::amountsBetween($before, $after, $this->facts) as $axis => $amount) {
            $score -= isset($asked[$axis]) ? 0.0 : self::UNASKED * abs($amount);
        }

        return [round($score, 6), $brings, $spoils];
    }

    /**
     * @param Distance $drawn of the base
     * @param list<Form> $forms those of the base and those that are added
     * @return list<string>
     */
    private function warnings(Distance $drawn, Look $before, Look $after, array $forms): array
    {
        $warnings = [];
        foreach (array_diff($after->hidden, $before->hidden) as $hidden) {
            $warnings[] = "{$hidden} cannot be seen in it";
        }
        if ($drawn->to($after) < Distance::SEEN) {
            $warnings[] = 'hardly to be told from the base by eye';
        }
        foreach ($forms as $form) {
            foreach ($this->catalogue->conditionsOf($form) as $found) {
                $warnings[] = "{$form->text}: {$found['condition']->name}";
            }
        }

        return array_values(array_unique($warnings));
    }
}
