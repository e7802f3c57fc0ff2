<?php

declare(strict_types=1);

namespace App\Train;

use App\Catalogue\GeneSigns;
use App\Looks\Gallery;
use Destino\Appearance\Look;
use Destino\Appearance\Noise;
use Destino\Genome\Form;
use Destino\Identification\Sign;
use Destino\Training\OddsDrill;

/** Makes questions: the same item and seed give the same one. Nothing is asked that the drawing cannot show. */
class Examiner
{
    /** What is seen of a gene hardly oftener than of a normal is a wrong answer. */
    private const ALIKE = .1;

    private readonly Material $material;

    /** @var array<string, Form> by allele */
    private readonly array $forms;

    /**
     * @param list<string> $own alleles that somebody in the collection may carry: they come first
     * @param GeneSigns|null $signs by which cues each gene is told; null where only the drawing is asked of
     * @param array<int, string> $photos the one gene that shows on the keeper's own photographs, by their number
     */
    public function __construct(
        Gallery $gallery, private readonly array $own, private readonly ?GeneSigns $signs = null, private readonly array $photos = [],
    ) {
        $this->material = new Material($gallery);
        $this->forms = $this->material->forms;
    }

    /** @return list<string> all that can be asked, what is in the collection first */
    public function items(): array
    {
        $visible = array_values(array_filter(array_keys($this->forms), $this->material->shows(...)));
        usort($visible, fn (string $a, string $b): int => [in_array($b, $this->own, true)] <=> [in_array($a, $this->own, true)]);
        $items = [];
        foreach ($visible as $i => $gene) {
            array_push($items, "tell:{$gene}", "cue:{$gene}", "name:{$gene}");
            $near = $this->material->nearest($gene, $visible);
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

    private function whichOf(string $item, string $gene, ?string $other, int $seed): Question
    {
        $noise = Noise::of($seed);
        $place = $noise->at(1) < .5 ? 0 : 1;
        $right = $this->material->look([$this->forms[$gene]], $seed);
        $wrong = $this->material->look($other === null ? [] : [$this->forms[$other]], $seed + 1);
        $name = $this->forms[$gene]->text;
        $against = $other === null ? 'a normal' : $this->forms[$other]->text;
        $looks = $place === 0 ? [$right, $wrong] : [$wrong, $right];

        return new Question(
            $item, "One is {$name}, the other ".($other === null ? 'a normal' : $against).". Which is the {$name}?",
            [['label' => 'the first', 'look' => $looks[0]], ['label' => 'the second', 'look' => $looks[1]]], $place, null,
            $this->material->tells($gene, $other),
            [['label' => $name, 'look' => $right], ['label' => ucfirst($against), 'look' => $wrong]], $this->signs?->place($gene),
        );
    }

    private function nameIt(string $item, string $gene, int $seed): Question
    {
        $look = $this->material->look([$this->forms[$gene]], $seed);
        [$options, $answer] = $this->material->among($gene, $this->material->others($gene, $seed), $seed);

        return new Question(
            $item, 'One gene shows here. Which?',
            array_map(fn (string $key): array => ['label' => $this->forms[$key]->text, 'look' => null], $options), $answer, $look,
            $this->material->tells($gene, null),
            [['label' => $this->forms[$gene]->text, 'look' => $look], ['label' => 'A normal', 'look' => $this->material->look([], $seed)]],
            $this->signs?->place($gene),
        );
    }

    /** One of the keeper's own animals, photographed: which gene shows? Null where the photograph, or what it is of, is gone. */
    private function ownPhoto(string $item, int $photo, int $seed): ?Question
    {
        $gene = $this->photos[$photo] ?? null;
        if ($gene === null || ! isset($this->forms[$gene])) {
            return null;
        }
        [$options, $answer] = $this->material->among($gene, $this->material->others($gene, $seed), $seed);

        return new Question(
            $item, 'One of your own animals. One gene shows: which?',
            array_map(fn (string $key): array => ['label' => $this->forms[$key]->text, 'look' => null], $options), $answer, null,
            $this->material->tells($gene, null),
            [['label' => "{$this->forms[$gene]->text}, as a scheme", 'look' => $this->material->look([$this->forms[$gene]], $seed)]],
            $this->signs?->place($gene), $photo,
        );
    }

    private function whatTells(string $item, string $gene, int $seed): Question
    {
        $options = $this->signsOf($gene, $seed);
        [$keys, $answer] = $this->material->among($gene, array_values(array_diff(array_keys($options), [$gene])), $seed);
        $look = $this->material->look([$this->forms[$gene]], $seed);

        return new Question(
            $item, "What tells {$this->forms[$gene]->text} from a normal?",
            array_map(fn (string $key): array => ['label' => $options[$key], 'look' => null], $keys), $answer, null,
            $this->material->tells($gene, null),
            [['label' => $this->forms[$gene]->text, 'look' => $look], ['label' => 'A normal', 'look' => $this->material->look([], $seed)]],
            $this->signs?->place($gene),
        );
    }

    /** @return array<string, string> what is seen of a gene, and of others what is hardly seen of it */
    private function signsOf(string $gene, int $seed): array
    {
        $best = $this->signs?->best($gene);
        $own = $best === null ? $this->material->words($gene) : [self::phrase($best)];
        $options = [$gene => $own[0] ?? 'nothing'];
        foreach ($this->material->others($gene, $seed) as $other) {
            $sign = $best === null ? null : $this->signs?->best($other);
            $words = match (true) {
                $sign === null => array_diff($this->material->words($other), $own, $options),
                $this->signs?->share($sign, $gene) < $sign->otherwise + self::ALIKE => array_diff([self::phrase($sign)], $options),
                default => [],
            };
            $words === [] ?: $options[$other] = array_values($words)[0];
        }

        return $options;
    }

    private static function phrase(Sign $sign): string
    {
        return "{$sign->cue->name}: {$sign->stateName()}";
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
        $hatchling = fn (array $forms): Look => $this->material->look($forms, $seed, 30);

        return new Question(
            $item, 'The parents: one '.$a->text.' and one '.$b->text.'. Their young carry what both can give. What shows in this one?',
            array_map(fn (array $forms): array => ['label' => $name($forms), 'look' => null], $sets), $place, $hatchling($sets[$place]),
            "{$this->material->tells($sire, null)} {$this->material->tells($dam, null)}",
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
}
