<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\FormKind;
use Destino\Genome\SchoolChanges;
use Destino\Probability\Rational;

/** Forms that the catalogue counts as look-alikes at hatching, gathered into classes. */
final readonly class AlikeForms
{
    /** @var array<string, string> class by "locus:pair" */
    private array $classes;

    /** @param array<string, Form> $forms every form that the cross can give, by "locus:pair" */
    public function __construct(private Catalogue $catalogue, array $forms)
    {
        $class = array_combine(array_keys($forms), array_keys($forms));
        foreach ($catalogue->lookAlikes as $set) {
            if (! $set->holdsAtHatching()) {
                continue;
            }
            $members = array_keys(array_filter($forms, $set->includes(...)));
            foreach ($members as $member) {
                [$from, $to] = [$class[$member], $class[$members[0]]];
                $class = array_map(static fn (string $name): string => $name === $from ? $to : $name, $class);
            }
        }
        $sizes = array_count_values($class);
        $this->classes = array_filter($class, static fn (string $name): bool => $sizes[$name] > 1);
    }

    public static function key(Form $form): string
    {
        return $form->locus.':'.SchoolChanges::pairKey(...$form->pair);
    }

    /** @return string|null the class of forms that look like this one, null where it stands alone */
    public function classOf(Form $form): ?string
    {
        return $this->classes[self::key($form)] ?? null;
    }

    /** @return list<list<string>> sets of loci whose forms are mixed up with each other */
    public function lociTogether(): array
    {
        $together = [];
        foreach ($this->classes as $key => $class) {
            $together[$class][] = explode(':', $key)[0];
        }

        return array_values(array_map(static fn (array $loci): array => array_values(array_unique($loci)), $together));
    }

    /**
     * "Yellow Belly or Gravel": the words for classes that hold several forms in this item.
     *
     * @return array{list<list<array{kind: FormKind, certainty: Rational, rank: int, text: string}>>, array<string, true>}
     *     words, and the pairs they cover
     */
    public function words(SpaceItem $item): array
    {
        $byClass = [];
        foreach ($item->members as $member) {
            foreach ($member->forms as $form) {
                $class = $this->classOf($form);
                if ($class !== null) {
                    $byClass[$class][self::key($form)] = $form;
                }
            }
        }
        $words = $covered = [];
        foreach ($byClass as $forms) {
            if (count($forms) < 2) {
                continue;
            }
            $covered += array_fill_keys(array_keys($forms), true);
            $forms = array_values($forms);
            usort($forms, fn (Form $a, Form $b): int => $this->rank($a) <=> $this->rank($b));
            $words[] = [[
                'kind' => $forms[0]->kind, 'certainty' => Rational::one(), 'rank' => $this->rank($forms[0]),
                'text' => implode(' or ', array_map(static fn (Form $form): string => $form->text, $forms)),
            ]];
        }

        return [$words, $covered];
    }

    private function rank(Form $form): int
    {
        return $this->catalogue->locus($form->locus)->rank * 1000 + $form->order;
    }

    /**
     * The blocks with those that hold one of the loci multiplied into one.
     *
     * @param list<list<BlockOutcome>> $blocks
     * @param list<string> $loci
     * @return list<list<BlockOutcome>>
     */
    public static function joined(array $blocks, array $loci): array
    {
        $rest = $own = [];
        foreach ($blocks as $outcomes) {
            if (array_intersect(array_keys($outcomes[0]->forms), $loci) === []) {
                $rest[] = $outcomes;
            } else {
                $own[] = $outcomes;
            }
        }
        $joined = array_shift($own) ?? [];
        foreach ($own as $outcomes) {
            $product = [];
            foreach ($joined as $a) {
                foreach ($outcomes as $b) {
                    $product[] = new BlockOutcome(
                        $a->forms + $b->forms, $a->sex ?? $b->sex, $a->probability->times($b->probability),
                        $a->isLethal || $b->isLethal, $a->makers + $b->makers, $a->phase + $b->phase, count($product),
                    );
                }
            }
            $joined = $product;
        }

        return $joined === [] ? $rest : [$joined, ...$rest];
    }

    /**
     * @param list<list<BlockOutcome>> $blocks
     * @return array<string, Form>
     */
    public static function formsOf(array $blocks): array
    {
        $forms = [];
        foreach ($blocks as $outcomes) {
            foreach ($outcomes as $outcome) {
                foreach ($outcome->forms as $form) {
                    $forms[self::key($form)] = $form;
                }
            }
        }

        return $forms;
    }
}
