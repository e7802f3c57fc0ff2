<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Sex;

/** The keeper's own names for combinations, said beside the genes of whatever surely is one. */
final class OwnNames
{
    /** @param list<array{name: string, forms: non-empty-array<string, Form>}> $names forms by locus; those of most genes first */
    private function __construct(private readonly array $names, private readonly Catalogue $catalogue) {}

    /** @param array<string, Belief> $meanings what each name means */
    public static function of(array $meanings, Catalogue $catalogue): self
    {
        $names = [];
        foreach ($meanings as $name => $belief) {
            $forms = self::formsOf($belief, $catalogue);
            $forms === [] ?: $names[] = ['name' => (string) $name, 'forms' => $forms];
        }
        usort($names, static fn (array $a, array $b): int => [count($b['forms']), $a['name']] <=> [count($a['forms']), $b['name']]);

        return new self($names, $catalogue);
    }

    /**
     * The names that hold, those of most genes first; of a name within another one only the wider.
     *
     * @param array<string, Form> $forms by locus
     * @return list<string>
     */
    public function ofForms(array $forms): array
    {
        $held = $found = [];
        foreach ($this->names as ['name' => $name, 'forms' => $own]) {
            $isHere = array_filter(
                $own, static fn (Form $form, string $locus): bool => ($forms[$locus] ?? null)?->pair !== $form->pair, ARRAY_FILTER_USE_BOTH,
            ) === [];
            if ($isHere && array_diff_key($own, $held) !== []) {
                $found[] = $name;
                $held += $own;
            }
        }

        return $found;
    }

    /** @return list<string> of an animal: what is only possible of it counts for nothing */
    public function ofBelief(Belief $belief): array
    {
        return $this->names === [] ? [] : $this->ofForms(self::formsOf($belief, $this->catalogue));
    }

    /** @return array<string, Form> what is certain, by locus */
    private static function formsOf(Belief $belief, Catalogue $catalogue): array
    {
        $forms = [];
        foreach ($belief->groups() as $key) {
            foreach ($catalogue->groups[$key]->loci as $locus) {
                $pairs = $belief->marginalAt($locus, $catalogue->groups[$key])->entries();
                if (count($pairs) === 1 && isset($catalogue->loci[$locus]) && $locus !== Sex::LOCUS) {
                    [$pair] = array_values($pairs)[0];
                    $form = $catalogue->form($locus, ...$pair);
                    $form->isWild() ?: $forms[$locus] = $form;
                }
            }
        }

        return $forms;
    }
}
