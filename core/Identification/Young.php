<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Probability\Number;
use Destino\Probability\Rational;

/**
 * What a hatchling is: P(genotype | everything), by parts that are independent of each other given the sire. In fractions where the
 * clutch is small, in doubles elsewhere. Of a part, by entry: its forms by locus, its sex, and, by sire, P(entry | sire).
 *
 * @phpstan-type YoungPart array{forms: list<array<string, Form>>, sexes: list<Sex|null>, chances: list<list<Rational|float>>}
 */
final class Young
{
    private ?self $floats = null;

    /** @var array<string, list<Form>>|null by locus */
    private ?array $possible = null;

    /** @var array<string, list<array{array<string, Form>, Rational|float}>> by loci */
    private array $known = [];

    /** @var array<int, array<array-key, array{list<int>, list<Form>}>> by part and locus: which form each entry has, and the forms */
    private array $formsAt = [];

    /**
     * @param list<Rational|float> $sires P(each is the sire)
     * @param list<YoungPart> $parts
     * @param array<string, Form> $fixed by locus: what it is for certain
     */
    public function __construct(public readonly array $sires, public readonly array $parts, public readonly array $fixed) {}

    /** The same in floats, which are quicker. */
    public function inFloats(): self
    {
        if ($this->floats === null) {
            $parts = [];
            foreach ($this->parts as $part) {
                $part['chances'] = array_map(self::floats(...), $part['chances']);
                $parts[] = $part;
            }
            $this->floats = new self(self::floats($this->sires), $parts, $this->fixed);
        }

        return $this->floats;
    }

    /**
     * @param list<Rational|float> $numbers
     * @return list<float>
     */
    private static function floats(array $numbers): array
    {
        return array_map(Number::float(...), $numbers);
    }

    /** @return list<string> loci at which it can be anything but wild type */
    public function loci(): array
    {
        $loci = array_keys(array_filter($this->fixed, static fn (Form $form): bool => ! $form->isWild()));
        foreach ($this->parts as $part) {
            $loci = [...$loci, ...array_keys($part['forms'][0] ?? [])];
        }

        return array_map(strval(...), $loci);
    }

    /** @return array<string, list<Form>> what it can be, by locus */
    public function possible(): array
    {
        return $this->possible ??= $this->possibleForms();
    }

    /** @return array<string, list<Form>> */
    private function possibleForms(): array
    {
        $possible = array_map(static fn (Form $form): array => [$form->key() => $form], $this->fixed);
        foreach ($this->parts as $part) {
            foreach ($part['forms'] as $entry => $forms) {
                $chances = array_column($part['chances'], $entry);
                if (array_filter($chances, static fn (Rational|float $p): bool => ! Number::isZero($p)) !== []) {
                    foreach ($forms as $locus => $form) {
                        $possible[$locus][$form->key()] = $form;
                    }
                }
            }
        }

        return array_map(array_values(...), $possible);
    }

    /**
     * What it is at some loci, those that are certain among them.
     *
     * @param list<string> $loci
     * @return list<array{array<string, Form>, Rational|float}> each once, those with a chance
     */
    public function over(array $loci): array
    {
        $wanted = array_flip($loci);
        $key = implode(' ', array_keys(array_intersect_key($wanted, array_flip($this->loci()))));

        return $this->known[$key] ??= $this->summed($wanted);
    }

    /**
     * @param array<string, int> $wanted by locus
     * @return list<array{array<string, Form>, Rational|float}>
     */
    private function summed(array $wanted): array
    {
        $projected = [];
        foreach ($this->parts as $k => $part) {
            $here = array_keys(array_intersect_key($part['forms'][0] ?? [], $wanted));
            if ($here !== []) {
                $projected[] = $this->projected($k, $here);
            }
        }
        $all = $forms = [];
        foreach ($this->sires as $s => $p) {
            $ways = Number::isZero($p) ? [] : ['' => [array_intersect_key($this->fixed, $wanted), $p]];
            foreach ($projected as $part) {
                $longer = [];
                foreach ($ways as $key => [$before, $chance]) {
                    foreach ($part[1][$s] as $own => $more) {
                        if (! Number::isZero($more)) {
                            $longer["{$key} {$own}"] = [$before + $part[0][$own], Number::times($chance, $more)];
                        }
                    }
                }
                $ways = $longer;
            }
            foreach ($ways as $key => [$own, $chance]) {
                $forms[$key] = $own;
                $all[$key] = isset($all[$key]) ? Number::plus($all[$key], $chance) : $chance;
            }
        }

        return array_map(static fn (int|string $key): array => [$forms[$key], $all[$key]], array_keys($all));
    }

    /**
     * @param non-empty-list<array-key> $loci that are in the part
     * @return array{array<int, array<string, Form>>, array<int, array<int, Rational|float>>} forms at the loci, and their chances by sire
     */
    private function projected(int $k, array $loci): array
    {
        $part = $this->parts[$k];
        $places = array_fill(0, count($part['forms']), 0);
        foreach ($loci as $locus) {
            [$codes, $distinct] = $this->formsAt[$k][$locus] ??= self::coded(array_column($part['forms'], $locus));
            foreach ($codes as $entry => $code) {
                $places[$entry] = $places[$entry] * count($distinct) + $code;
            }
        }
        $forms = $sums = [];
        $wanted = array_flip($loci);
        foreach ($places as $entry => $place) {
            $forms[$place] ??= array_intersect_key($part['forms'][$entry], $wanted);
        }
        foreach ($part['chances'] as $s => $chances) {
            $sums[$s] = [];
            foreach ($chances as $entry => $chance) {
                $before = $sums[$s][$places[$entry]] ?? 0.0;
                $sums[$s][$places[$entry]] = is_float($chance) && is_float($before)
                    ? $before + $chance
                    : (isset($sums[$s][$places[$entry]]) ? Number::plus($before, $chance) : $chance);
            }
        }

        return [$forms, $sums];
    }

    /**
     * @param list<Form> $forms
     * @return array{list<int>, list<Form>} the number of each, and the forms by number
     */
    private static function coded(array $forms): array
    {
        $codes = $numbers = $distinct = [];
        foreach ($forms as $form) {
            $key = implode('/', $form->pair);
            if (! isset($numbers[$key])) {
                $numbers[$key] = count($distinct);
                $distinct[] = $form;
            }
            $codes[] = $numbers[$key];
        }

        return [$codes, $distinct];
    }

    /** @param array<string, Form> $forms */
    public static function keyOf(array $forms): string
    {
        return implode(' ', array_map(static fn (Form $form): string => $form->key(), $forms));
    }
}
