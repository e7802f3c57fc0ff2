<?php

namespace Tests\Core\Genome;

use Destino\Appearance\LookFacts;
use Destino\Genome\Catalogue;
use Destino\Genome\Concealment;
use Destino\Genome\Diplotype;
use Destino\Genome\Form;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Genome\Visibility;
use Destino\Identification\Eye;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\Target;
use Destino\Notation\TargetReader;
use Destino\Pairing\BlockOutcome;
use Destino\Pairing\Looks;
use Destino\Pairing\Seeing;
use Destino\Planning\Phenotypes\Sight;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** What can be seen of a genotype is one rule: pairing, inference, identification, planning and drawings agree on it. */
class VisibilityTest extends TestCase
{
    private Catalogue $catalogue;

    private ?LookFacts $looks = null;

    /** @var array<string, Target> "not so and so", by form */
    private array $not = [];

    protected function setUp(): void
    {
        $this->catalogue = Shelf::catalogue();
    }

    private function looks(): LookFacts
    {
        return $this->looks ??= LookFacts::of(Shelf::facts()->document);
    }

    /** @return list<Form> every form that shows and lives, at loci that have no sex beside them */
    private function forms(): array
    {
        $forms = [];
        foreach ($this->catalogue->loci as $locus) {
            $group = $this->catalogue->groupOf($locus->key);
            foreach (in_array(Sex::LOCUS, $group->loci, true) || count($group->loci) > 1 ? [] : $this->catalogue->formsAt($locus->key) as $form) {
                if ($form->shows !== [] && ! $form->isLethal()) {
                    $forms[] = $form;
                }
            }
        }

        return $forms;
    }

    /**
     * The definition, plainly: some form at another locus is a mask, and conceals each allele that the form shows.
     *
     * @param list<Form> $others
     */
    private function isHidden(Form $form, array $others): bool
    {
        foreach ($others as $other) {
            foreach ($this->catalogue->masksAt($other->locus) as $mask) {
                $fits = $mask->form->fits($other->copiesOf(...)) && $mask->hides !== Concealment::Part;
                $left = array_filter($form->shows, fn (string $key): bool => ! $mask->conceals($this->catalogue->allele($key), $form->copiesOf($key)));
                if ($fits && $left === []) {
                    return true;
                }
            }
        }

        return false;
    }

    private function group(Form $form): LinkageGroup
    {
        return $this->catalogue->groupOf($form->locus);
    }

    private static function diplotype(Form $form): Diplotype
    {
        return new Diplotype([$form->pair[0]], [$form->pair[1]]);
    }

    /**
     * What each of the five says of a form beside others.
     *
     * @param list<Form> $others
     * @return array<string, bool>
     */
    private function said(Form $form, array $others): array
    {
        $all = [$form, ...$others];
        $byLocus = array_column(array_map(static fn (Form $one): array => [$one->locus, $one], $all), 1, 0);
        $outcome = new BlockOutcome($byLocus, null, Rational::one(), false, [], [], 0);
        $seeing = new Seeing($this->catalogue, null);
        [[, $hiding]] = $seeing->regions([[$outcome]]);
        $space = new GenotypeSpace($this->catalogue, array_map($this->group(...), $all));
        $state = State::of(array_combine(array_map(fn (Form $one): string => $this->group($one)->key, $all), array_map(self::diplotype(...), $all)));
        $not = $this->not[$form->locus.implode('/', $form->pair)] ??= (new TargetReader($this->catalogue))->read("not {$form->text}");
        $masks = [];
        foreach ($others as $other) {
            array_push($masks, ...(new Sight($this->catalogue, $this->group($other)))->hides(self::diplotype($other)));
        }

        return [
            'pairing' => ! str_contains('|'.$seeing->look($outcome, $hiding), "|{$form->locus}:"),
            'inference' => $space->accepts($space->number($state), $not),
            'identification' => (new Eye($this->catalogue))->accepts($not, $byLocus, null),
            'planning' => (new Sight($this->catalogue, $this->group($form)))->of(self::diplotype($form), $masks) === '+',
        ];
    }

    /** @param list<Form> $others */
    private function check(Form $form, array $others): void
    {
        $expected = $this->isHidden($form, $others);
        $names = "{$form->text} beside ".implode(' and ', array_map(static fn (Form $one): string => $one->text, $others));
        foreach ($this->said($form, $others) as $who => $isHidden) {
            self::assertSame($expected, $isHidden, "{$who}: {$names}");
        }
        $visibility = new Visibility($this->catalogue);
        self::assertSame($expected, $visibility->isHidden($form, $visibility->masks($others)), $names);
        // A drawing may let a trace of what is hidden through; what cannot be drawn at all cannot be seen.
        $look = $this->looks()->look($this->catalogue, [$form, ...$others]);
        $isTraced = array_filter($visibility->masks($others), fn (Mask $mask): bool => array_filter(
            $form->shows, fn (string $key): bool => $mask->degree($key, $form->copiesOf($key)) === 'weak',
        ) !== []) !== [];
        $isTraced || ! $expected || self::assertFalse($this->isDrawn($look->reasons, $form, $others), "drawing: {$names}");
        in_array($form->text, $look->hidden, true) && self::assertTrue($expected || $this->isOfThePattern($form), "drawing hides: {$names}");
    }

    /**
     * @param array<string, list<array{string, float}>> $reasons
     * @param list<Form> $others
     */
    private function isDrawn(array $reasons, Form $form, array $others): bool
    {
        foreach ($reasons as $parts) {
            foreach ($parts as [$words]) {
                if ($words === $form->text && ! in_array($words, array_map(static fn (Form $one): string => $one->text, $others), true)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** A form that is drawn by its pattern alone goes with the pattern, whatever the catalogue says that it mainly does. */
    private function isOfThePattern(Form $form): bool
    {
        $look = $this->looks()->look($this->catalogue, [$form]);
        $axes = $this->looks()->axes;

        return array_filter(array_keys($look->reasons), static fn (string $axis): bool => ! $axes[$axis]->isPattern()) === [];
    }

    public function test_all_agree_on_every_pair_of_forms_of_which_one_hides_others(): void
    {
        $forms = $this->forms();
        $masks = array_values(array_filter($forms, fn (Form $form): bool => (new Visibility($this->catalogue))->masksOf($form, all: true) !== []));
        self::assertGreaterThan(20, count($masks));
        $hidden = 0;
        foreach ($masks as $mask) {
            foreach ($forms as $form) {
                if ($form->locus !== $mask->locus) {
                    $this->check($form, [$mask]);
                    $hidden += $this->isHidden($form, [$mask]) ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(1000, $hidden);
    }

    public function test_all_agree_on_triples_of_forms(): void
    {
        $forms = $this->forms();
        $masks = array_values(array_filter($forms, fn (Form $form): bool => (new Visibility($this->catalogue))->masksOf($form) !== []));
        $chance = new Randomizer(new Mt19937(29));
        $done = 0;
        while ($done < 2500) {
            [$form, $one] = [$forms[$chance->getInt(0, count($forms) - 1)], $masks[$chance->getInt(0, count($masks) - 1)]];
            $from = $chance->getInt(0, 2) === 0 ? $forms : $masks;
            $two = $from[$chance->getInt(0, count($from) - 1)];
            if (count(array_unique([$form->locus, $one->locus, $two->locus])) === 3) {
                $this->check($form, [$one, $two]);
                $done++;
            }
        }
    }

    public function test_a_gene_that_shows_in_two_copies_only_is_hidden_in_one(): void
    {
        $ivory = $this->catalogue->twoCopies($this->catalogue->allele('yellow-belly'));
        $enchi = $this->catalogue->allele('enchi');
        $visibility = new Visibility($this->catalogue);
        $masks = $visibility->masks([$ivory]);
        self::assertTrue($visibility->isHidden($this->catalogue->oneCopy($enchi), $masks));
        self::assertFalse($visibility->isHidden($this->catalogue->twoCopies($enchi), $masks));
    }

    /** @return array<string, array{string, string, array<string, string>}> a cross, and its looks with their chances */
    public static function overlaid(): array
    {
        return [
            'a full mask over one of the pattern' => ['Fire Cinnamon', 'Fire Black Pastel', ['Super Fire' => '1/4', 'Fire Cinnamon/Black Pastel' => '1/8']],
            'over one of two copies' => ['Fire Cinnamon', 'Fire Cinnamon', ['Super Fire' => '1/4', 'Fire Super Cinnamon' => '1/8', 'Super Cinnamon' => '1/16']],
            'two full ones stay apart' => ['Fire Yellow Belly', 'Fire Yellow Belly', ['Super Fire' => '3/16']],
        ];
    }

    /** @param array<string, string> $expected */
    #[DataProvider('overlaid')]
    public function test_what_a_full_mask_hides_divides_no_look(string $sire, string $dam, array $expected): void
    {
        $table = Shelf::table(Looks::of(Shelf::cross($sire, $dam)));
        self::assertSame('1', array_reduce($table, static fn (Rational $sum, string $one): Rational => $sum->plus(Rational::parse($one)), Rational::zero())->toString());
        foreach ($expected as $label => $chance) {
            $found = array_filter($table, static fn (string $one): bool => preg_match("~^{$label}( possible.*| \\(.*)?$~", $one) === 1, ARRAY_FILTER_USE_KEY);
            self::assertSame([$chance], array_values($found), $label);
        }
    }
}
