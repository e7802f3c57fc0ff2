<?php

declare(strict_types=1);

namespace App\Train;

use App\Looks\Gallery;
use Destino\Appearance\Difference;
use Destino\Appearance\Distance;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Noise;
use Destino\Genome\Allele;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use Destino\Training\OddsDrill;

/** Makes questions: the same item and seed give the same one. Nothing is asked that the drawing cannot show. */
class Examiner
{
    /** Pairs nearer than this are worth asking for: those further apart nobody mixes up. */
    private const NEAR = 9.0;

    private const OPTIONS = 4;

    /** @var array<string, Form> the form in which each gene first shows, by allele */
    private readonly array $forms;

    /**
     * @param list<string> $own alleles that somebody in the collection may carry: they come first
     * @param array<string, string> $places region of the body that tells each gene, by allele
     * @param array<int, string> $photos the one gene that shows on the keeper's own photographs, by their number
     */
    public function __construct(
        private readonly Gallery $gallery, private readonly array $own, private readonly array $places = [], private readonly array $photos = [],
    ) {
        $catalogue = $gallery->catalogue();
        $this->forms = array_map(
            fn (Allele $allele): Form => $allele->inheritance === Inheritance::Recessive ? $catalogue->twoCopies($allele) : $catalogue
                ->oneCopy($allele),
            $catalogue->alleles,
        );
    }

    /** @return list<string> all that can be asked, what is in the collection first */
    public function items(): array
    {
        $visible = array_values(array_filter(array_keys($this->forms), $this->shows(...)));
        usort($visible, fn (string $a, string $b): int => [in_array($b, $this->own, true)] <=> [in_array($a, $this->own, true)]);
        $items = [];
        foreach ($visible as $i => $gene) {
            array_push($items, "tell:{$gene}", "cue:{$gene}", "name:{$gene}");
            $near = $this->nearest($gene, $visible);
            $near === null ?: $items[] = "tell:{$gene}:{$near}";
            $i % 4 !== 1 ?: $items[] = 'odds:'.intdiv($i, 4) % OddsDrill::count();
            $next = $visible[$i + 1] ?? null;
            $next === null || $this->forms[$next]->locus === $this->forms[$gene]->locus ?: $items[] = "young:{$gene}:{$next}";
        }

        $own = array_map(fn (int $photo): string => "photo:{$photo}", array_keys(array_intersect($this->photos, $visible)));

        return array_values(array_unique([...array_slice($own, 0, 3), ...$items, ...array_slice($own, 3)]));
    }

    /** The question of an item; null where the facts do not know it any more. */
    public function question(string $item, int $seed): ?Question
    {
        $parts = explode(':', $item);
        foreach (in_array($parts[0], ['odds', 'photo'], true) ? [] : array_slice($parts, 1) as $gene) {
            if (! isset($this->forms[$gene])) {
                return null;
            }
        }

        return match ($parts[0]) {
            'tell' => isset($parts[1]) ? $this->whichOf($item, $parts[1], $parts[2] ?? null, $seed) : null,
            'name' => isset($parts[1]) ? $this->nameIt($item, $parts[1], $seed) : null,
            'cue' => isset($parts[1]) ? $this->whatTells($item, $parts[1], $seed) : null,
            'young' => isset($parts[2]) ? $this->young($item, $parts[1], $parts[2], $seed) : null,
            'photo' => $this->ownPhoto($item, (int) ($parts[1] ?? 0), $seed),
            'odds' => $this->odds($item, (int) ($parts[1] ?? 0), $seed),
            default => null,
        };
    }

    private function shows(string $gene): bool
    {
        return Distance::between($this->gallery->ofForms([]), $this->gallery->ofForms([$this->forms[$gene]])) >= 2 * Distance::SEEN;
    }

    /** @param list<string> $genes */
    private function nearest(string $gene, array $genes): ?string
    {
        $look = $this->gallery->ofForms([$this->forms[$gene]]);
        $best = null;
        foreach (array_slice($genes, 0, 40) as $other) {
            $apart = $other === $gene
                ? INF
                : Difference::between($look, $this->gallery->ofForms([$this->forms[$other]]), $this->gallery->facts())->size();
            if ($apart > 1.0 && $apart < self::NEAR && ($best === null || $apart < $best[1])) {
                $best = [$other, $apart];
            }
        }

        return $best[0] ?? null;
    }

    private function whichOf(string $item, string $gene, ?string $other, int $seed): Question
    {
        $noise = Noise::of($seed);
        $place = $noise->at(1) < .5 ? 0 : 1;
        $right = $this->look([$this->forms[$gene]], $seed);
        $wrong = $this->look($other === null ? [] : [$this->forms[$other]], $seed + 1);
        $name = $this->forms[$gene]->text;
        $against = $other === null ? 'a normal' : $this->forms[$other]->text;
        $looks = $place === 0 ? [$right, $wrong] : [$wrong, $right];

        return new Question(
            $item, "One is {$name}, the other ".($other === null ? 'a normal' : $against).". Which is the {$name}?",
            [['label' => 'the first', 'look' => $looks[0]], ['label' => 'the second', 'look' => $looks[1]]], $place, null,
            $this->tells($gene, $other),
            [['label' => $name, 'look' => $right], ['label' => ucfirst($against), 'look' => $wrong]], $this->places[$gene] ?? null,
        );
    }

    private function nameIt(string $item, string $gene, int $seed): Question
    {
        $look = $this->look([$this->forms[$gene]], $seed);
        [$options, $answer] = $this->among($gene, $this->others($gene, $seed), $seed);

        return new Question(
            $item, 'One gene shows here. Which?',
            array_map(fn (string $key): array => ['label' => $this->forms[$key]->text, 'look' => null], $options), $answer, $look,
            $this->tells($gene, null),
            [['label' => $this->forms[$gene]->text, 'look' => $look], ['label' => 'A normal', 'look' => $this->look([], $seed)]],
            $this->places[$gene] ?? null,
        );
    }

    /** One of the keeper's own animals, photographed: which gene shows? Null where the photograph, or what it is of, is gone. */
    private function ownPhoto(string $item, int $photo, int $seed): ?Question
    {
        $gene = $this->photos[$photo] ?? null;
        if ($gene === null || ! isset($this->forms[$gene])) {
            return null;
        }
        [$options, $answer] = $this->among($gene, $this->others($gene, $seed), $seed);

        return new Question(
            $item, 'One of your own animals. One gene shows: which?',
            array_map(fn (string $key): array => ['label' => $this->forms[$key]->text, 'look' => null], $options), $answer, null,
            $this->tells($gene, null),
            [['label' => "{$this->forms[$gene]->text}, as a scheme", 'look' => $this->look([$this->forms[$gene]], $seed)]],
            $this->places[$gene] ?? null, $photo,
        );
    }

    private function whatTells(string $item, string $gene, int $seed): Question
    {
        $own = $this->words($gene);
        $options = [$gene => $own[0] ?? 'nothing'];
        foreach ($this->others($gene, $seed) as $other) {
            $words = array_values(array_diff($this->words($other), $own, $options));
            $words === [] ?: $options[$other] = $words[0];
        }
        [$keys, $answer] = $this->among($gene, array_values(array_diff(array_keys($options), [$gene])), $seed);
        $look = $this->look([$this->forms[$gene]], $seed);

        return new Question(
            $item, "What tells {$this->forms[$gene]->text} from a normal?",
            array_map(fn (string $key): array => ['label' => $options[$key], 'look' => null], $keys), $answer, null,
            $this->tells($gene, null),
            [['label' => $this->forms[$gene]->text, 'look' => $look], ['label' => 'A normal', 'look' => $this->look([], $seed)]],
            $this->places[$gene] ?? null,
        );
    }

    /** A young of two animals that each show one gene: which of the two did it get? */
    private function young(string $item, string $sire, string $dam, int $seed): Question
    {
        [$a, $b] = [$this->forms[$sire], $this->forms[$dam]];
        $sets = [[], [$a], [$b], [$a, $b]];
        $place = (int) floor(3.999 * Noise::of($seed)->at(2));
        $name = fn (array $forms): string => $forms === [] ? 'neither' : implode(
            ' and ', array_map(fn (Form $form): string => $form->text, $forms),
        );
        $hatchling = fn (array $forms): Look => $this->look($forms, $seed, 30);

        return new Question(
            $item, 'The parents: one '.$a->text.' and one '.$b->text.'. Their young carry what both can give. What shows in this one?',
            array_map(fn (array $forms): array => ['label' => $name($forms), 'look' => null], $sets), $place, $hatchling($sets[$place]),
            "{$this->tells($sire, null)} {$this->tells($dam, null)}",
            array_map(fn (array $forms): array => ['label' => ucfirst($name($forms)), 'look' => $hatchling($forms)], $sets),
        );
    }

    private function odds(string $item, int $number, int $seed): Question
    {
        $drill = OddsDrill::of($number, $seed);

        return new Question(
            $item, $drill->asks, array_map(fn (string $option): array => ['label' => $option, 'look' => null], $drill->options),
            $drill->answer,
            null, $drill->why, [],
        );
    }

    /** @return list<string> genes that differ visibly from one, in an order of chance */
    private function others(string $gene, int $seed): array
    {
        $noise = Noise::of($seed + 5);
        $all = array_values(array_filter(array_keys($this->forms), $this->shows(...)));
        usort($all, fn (string $a, string $b): int => $noise->at((int) crc32($a) & 0xFFFF) <=> $noise->at((int) crc32($b) & 0xFFFF));
        $own = $this->gallery->ofForms([$this->forms[$gene]]);
        $others = [];
        foreach ($all as $other) {
            if ($other !== $gene && count($others) < 6 && Distance::between($own, $this->gallery->ofForms([$this->forms[$other]])) > 2 * Distance::SEEN) {
                $others[] = $other;
            }
        }

        return $others;
    }

    /**
     * @param list<string> $others
     * @return array{list<string>, int} options and the place of the right one
     */
    private function among(string $right, array $others, int $seed): array
    {
        $options = array_slice($others, 0, self::OPTIONS - 1);
        $place = (int) floor(Noise::of($seed)->at(4) * (count($options) + .999));
        array_splice($options, $place, 0, [$right]);

        return [$options, $place];
    }

    /** @return list<string> */
    private function words(string $gene): array
    {
        return Difference::between(
            $this->gallery->ofForms([]), $this->gallery->ofForms([$this->forms[$gene]]), $this->gallery->facts(),
        )->words(3);
    }

    private function tells(string $gene, ?string $other): string
    {
        $words = $other === null
            ? $this->words($gene)
            : Difference::between(
                $this->gallery->ofForms([$this->forms[$other]]), $this->gallery->ofForms([$this->forms[$gene]]), $this->gallery->facts(),
            )->words(3);

        return "{$this->forms[$gene]->text}: ".implode('; ', $words).'.';
    }

    /** @param list<Form> $forms */
    private function look(array $forms, int $seed, int $days = LookFacts::ADULT): Look
    {
        return $this->gallery->ofForms($forms, $days, 1 + $seed % 97);
    }
}
