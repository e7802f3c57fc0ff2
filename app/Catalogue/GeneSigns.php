<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Sureness;
use Destino\Genome\Allele;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use Destino\Genome\LookAlike;
use Destino\Identification\CueChances;
use Destino\Identification\Sign;
use Destino\Identification\Signs;

/** How a gene is recognised: what its forms show oftener than a normal, what changes with others, what parts it from look-alikes. */
final class GeneSigns
{
    /** Ages at which a gene that changes is shown, in days. */
    private const AGES = ['hatchling' => 3, 'three months' => 90, 'one year' => 365, 'grown' => LookFacts::ADULT];

    private readonly Signs $signs;

    /** @var array<string, Sign|null> by gene */
    private array $best = [];

    public function __construct(private readonly CatalogueShelf $shelf)
    {
        $this->signs = new Signs(new CueChances($shelf->catalogue(), $shelf->looks()), $shelf->cues());
    }

    /** @return array<string, non-empty-list<array{form: Form, sign: Sign}>> by cue: one copy and two, or the visual form; the clearest first */
    public function of(Allele $allele): array
    {
        $cues = [];
        foreach ($this->formsOf($allele) as $form) {
            foreach ($this->signs->of([$form]) as $sign) {
                $cues[$sign->cue->key][] = ['form' => $form, 'sign' => $sign];
            }
        }
        uasort($cues, fn (array $a, array $b): int => self::most($b) <=> self::most($a));

        return $cues;
    }

    /** @param non-empty-list<array{form: Form, sign: Sign}> $lines */
    private static function most(array $lines): float
    {
        return max(array_map(fn (array $line): float => $line['sign']->gain(), $lines));
    }

    /** @return non-empty-list<Form> that show */
    private function formsOf(Allele $allele): array
    {
        $catalogue = $this->shelf->catalogue();

        return match ($allele->inheritance) {
            Inheritance::Recessive => [$catalogue->twoCopies($allele)],
            Inheritance::Dominant => [$catalogue->oneCopy($allele)],
            default => [$catalogue->oneCopy($allele), $catalogue->twoCopies($allele)],
        };
    }

    /** @return list<array{with: string, forms: list<Form>, sign: Sign}> what is seen of it beside another gene and of neither alone, the clearest of each */
    public function together(Allele $allele): array
    {
        $own = $this->formsOf($allele)[0];
        $lines = [];
        foreach ($this->shelf->catalogue()->interactions as $interaction) {
            $others = array_values(array_diff($interaction->alleles, [$allele->key]));
            if (count($interaction->alleles) !== 2 || count($others) !== 1) {
                continue;
            }
            $other = $this->formsOf($this->shelf->catalogue()->allele($others[0]))[0];
            $alone = $this->shares($this->signs->of([$own]) + $this->signs->of([$other]));
            foreach ($this->signs->of([$own, $other], [$own]) as $sign) {
                if (! isset($alone["{$sign->cue->key} {$sign->state}"])) {
                    $lines[] = ['with' => $other->text, 'forms' => [$own, $other], 'sign' => $sign];
                    break;
                }
            }
        }

        return $lines;
    }

    /**
     * @param list<Sign> $signs
     * @return array<string, true> by cue and state
     */
    private function shares(array $signs): array
    {
        return array_fill_keys(array_map(fn (Sign $sign): string => "{$sign->cue->key} {$sign->state}", $signs), true);
    }

    /** What tells a gene best from a normal; null where no cue does. */
    public function best(string $gene): ?Sign
    {
        $allele = $this->shelf->catalogue()->allele($gene);

        return $this->best[$gene] ??= $this->signs->of([$this->formsOf($allele)[0]])[0] ?? null;
    }

    /** Region of the body that tells a gene best; null where no cue does. */
    public function place(string $gene): ?string
    {
        return $this->best($gene)?->cue->where;
    }

    /** How often a state of a cue is seen in a gene, as it first shows. */
    public function share(Sign $sign, string $gene): float
    {
        foreach ($this->signs->of([$this->formsOf($this->shelf->catalogue()->allele($gene))[0]]) as $one) {
            if ($one->cue === $sign->cue && $one->state === $sign->state) {
                return $one->share;
            }
        }

        return $sign->otherwise;
    }

    /**
     * One animal of a gene from hatchling to adult, where the gene changes with age; none where it does not.
     *
     * @return list<array{age: string, look: Look}>
     */
    public function ages(Allele $allele): array
    {
        $looks = $this->shelf->looks();
        $form = $this->formsOf($allele)[0];

        return ! $looks->changesWithAge($allele->key) ? [] : array_map(fn (string $age, int $days): array => [
            'age' => $age, 'look' => $looks->look($this->shelf->catalogue(), [$form], $days),
        ], array_keys(self::AGES), self::AGES);
    }

    /** @return list<string> what fewer keepers tell of it than the rest, as "a greener iris" */
    public function lessSure(Allele $allele): array
    {
        $looks = $this->shelf->looks();
        $forms = $this->formsOf($allele);
        $words = [];
        foreach ($looks->lessSure[$allele->key] ?? [] as $axis) {
            $amounts = array_map(fn (Form $form): float => $looks->amountsOf($this->shelf->catalogue(), $form)[$axis] ?? 0.0, $forms);
            $amount = array_values(array_filter($amounts))[0] ?? 0.0;
            $amount === 0.0 ?: $words[] = $amount > 0 ? $looks->axes[$axis]->more : $looks->axes[$axis]->less;
        }

        return $words;
    }

    /** Whether anybody has told what it looks like. */
    public function isDescribed(Allele $allele): bool
    {
        foreach ($this->shelf->document()['cues'] as $cue) { // a keeper may know a cue of his own gene and no more
            if (in_array($allele->name, array_column($cue['given'] ?? [], 'when'), true)) {
                return true;
            }
        }
        $forms = $this->formsOf($allele);

        return $this->shelf->looks()->look($this->shelf->catalogue(), [$forms[0]])->sureness !== Sureness::Unknown;
    }

    /** What parts a gene from the others of a set of look-alikes. */
    public function wordsOn(LookAlike $set, Allele $allele): string
    {
        $catalogue = $this->shelf->catalogue();
        $words = [];
        foreach (array_diff($set->members, [$allele->key]) as $other) {
            $sign = $this->signs->of([$set->formOf($allele->key, $catalogue)], [$set->formOf($other, $catalogue)])[0] ?? null;
            $words[] = $sign === null
                ? "No cue parts it from {$catalogue->allele($other)->name}."
                : "From {$catalogue->allele($other)->name}, look at: {$sign->cue->where}. ".lcfirst($sign->cue->name)." {$sign->stateName()} in "
                    .round(100 * $sign->share).' % against '.round(100 * $sign->otherwise).' %.';
        }

        return implode(' ', $words);
    }
}
