<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What a catalogue tells of its alleles beyond their inheritance: conditions, what hides and looks alike, what their forms are called. */
final readonly class AlleleFacts
{
    /** @param array<string, Allele> $alleles by key */
    public function __construct(private Facts $facts, private SchoolChanges $changes, private array $alleles) {}

    /** @return array<string, Condition> */
    public function conditions(): array
    {
        $conditions = [];
        foreach ($this->facts->children('conditions') as $condition) {
            $key = $condition->string('key');
            $applies = [];
            foreach ($condition->children('applies_to') as $form) {
                $pattern = $this->pattern($form->strings('alleles'), $form->path(), Sex::tryFrom($form->textOr('sex', '')));
                $applies[] = ['pattern' => $pattern, 'evidence' => $form->string('evidence')];
            }
            $conditions[$key] = new Condition(
                $key, $condition->string('name'), $condition->string('kind'),
                $this->changes->severities[$key] ?? Severity::from($condition->string('severity')), $condition->string('text'), $applies,
            );
        }

        return $conditions;
    }

    /**
     * @param array<string, Condition> $conditions
     * @return list<PairWarning>
     */
    public function warnings(array $conditions): array
    {
        return array_map(fn (Facts $warning): PairWarning => new PairWarning(
            $this->pattern($warning->strings('alleles'), $warning->path()),
            $conditions[$warning->string('condition')]
            ?? throw CatalogueFault::unknownCondition($warning->string('condition'), $warning->path()),
            $warning->string('text'),
            $warning->string('evidence'),
        ), $this->facts->children('warnings'));
    }

    /** @return array<string, list<Mask>> */
    public function masks(): array
    {
        $masks = [];
        foreach ($this->facts->children('masks') as $mask) {
            $form = $this->pattern($mask->strings('form'), $mask->path());
            $through = [];
            foreach ($mask->children('shows_through') as $shown) {
                $through[
                    $this->changes->rename($shown->string('allele')).($shown->has('copies') ? ' twice' : '')
                ] = $shown->string('degree');
            }
            $locus = $this->alleles[(string) array_key_first($form->copies)]->locus;
            $masks[$locus][] = new Mask($locus, $form, Concealment::from($mask->string('hides')), $mask->string('text'), $through);
        }

        return $masks;
    }

    /** @return list<LookAlike> */
    public function lookAlikes(): array
    {
        $sets = [];
        foreach ($this->facts->children('lookalikes') as $set) {
            $members = array_values(array_unique(array_map($this->changes->rename(...), $set->strings('members'))));
            $this->requireAlleles($members, $set->path());
            if (count($members) > 1) {
                $sets[] = new LookAlike(
                    $members, $set->string('copies'), $set->string('stage'), $set->string('text'), $set->string('evidence'),
                );
            }
        }

        return $sets;
    }

    /** @return list<Interaction> */
    public function interactions(): array
    {
        return array_map(function (Facts $facts): Interaction {
            $members = array_map($this->changes->rename(...), $facts->strings('alleles'));
            $this->requireAlleles($members, $facts->path());

            return new Interaction($members, $facts->string('text'), $facts->string('evidence'));
        }, $this->facts->children('interactions'));
    }

    /**
     * @param array<string, array<string, Form>> $forms
     * @return array{nicknames: list<NamedForm>, sharedNames: list<NamedForm>, confusedNames: list<ConfusedNames>}
     */
    public function names(array $forms): array
    {
        $names = $this->facts->child('names');
        $nicknames = array_map(
            static fn (Facts $name): NamedForm => new NamedForm($name->string('name'), $name->string('means')),
            $names->children('nicknames'),
        );
        $shared = [];
        foreach ($names->children('shared') as $name) {
            $members = array_values(array_unique(array_map($this->changes->rename(...), $name->strings('members'))));
            $this->requireAlleles($members, $name->path());
            $shared[] = new NamedForm(
                $name->string('name'), '', array_map(fn (string $key): string => $this->alleles[$key]->name, $members),
                $name->string('text'), $name->has('aliases') ? $name->strings('aliases') : [],
            );
        }
        foreach ($names->children('classes') as $class) {
            $choices = [];
            foreach ($class->children('members') as $i => $member) {
                [$a, $b] = array_map($this->changes->rename(...), array_values(array_filter($member->values(), is_string(...))));
                $this->requireAlleles([$a, $b], $class->path());
                $form = $forms[$this->alleles[$a]->locus][SchoolChanges::pairKey($a, $b)]
                    ?? throw CatalogueFault::missing("{$class->path()}[{$i}]", 'two alleles of one locus');
                $choices[$form->text] = $form->text;
            }
            $shared[] = new NamedForm(
                $class->string('name'), '', array_values($choices), $class->string('text'), $class->strings('aliases'),
            );
        }

        foreach ($names->children('questions') as $question) {
            $shared[] = new NamedForm($question->string('name'), '', $question->strings('choices'), $question->string('text'), [], true);
        }

        return ['nicknames' => $nicknames, 'sharedNames' => $shared, 'confusedNames' => $this->confused($names)];
    }

    /** @return list<ConfusedNames> */
    private function confused(Facts $names): array
    {
        return array_map(function (Facts $set): ConfusedNames {
            $members = array_values(array_unique(array_map($this->changes->rename(...), $set->strings('members'))));
            $this->requireAlleles($members, $set->path());

            return new ConfusedNames($members, $set->string('text'));
        }, $names->children('confused'));
    }

    /**
     * @param list<string> $members
     */
    private function pattern(array $members, string $path, ?Sex $sex = null): GenotypePattern
    {
        $members = array_map($this->changes->rename(...), $members);
        $this->requireAlleles($members, $path);

        return GenotypePattern::ofList($members, $sex);
    }

    /**
     * @param list<string> $keys
     */
    private function requireAlleles(array $keys, string $path): void
    {
        foreach ($keys as $key) {
            if (! isset($this->alleles[$key])) {
                throw CatalogueFault::unknownAllele($key, $path);
            }
        }
    }
}
