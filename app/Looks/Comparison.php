<?php

declare(strict_types=1);

namespace App\Looks;

use Destino\Appearance\Difference;
use Destino\Appearance\Distance;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\DestinoError;
use Illuminate\Http\Request;

/** Two to six genotypes side by side, as they were typed. */
class Comparison
{
    public const MOST = 6;

    private const LONGEST = 300;

    /** What may be compared, to begin with: by what it shows. */
    public const EXAMPLES = [
        'One copy and two' => ['Normal', 'Pastel', 'Super Pastel'],
        'Alleles of one locus' => ['Mojave', 'Lesser', 'Mocha'],
        'What Leopard does to a Clown' => ['Clown', 'Leopard Clown', 'Pastel Leopard Clown'],
    ];

    /** @var list<string> */
    public readonly array $texts;

    /** @var array<int, string> by place among the texts */
    public readonly array $errors;

    public readonly int $days;

    public readonly int $seed;

    /** @var array<int, Look> */
    private readonly array $looks;

    public function __construct(Request $request, private readonly Gallery $gallery)
    {
        $given = $request->query('genes');
        $texts = array_map(fn (mixed $text): string => is_string($text) ? trim($text) : '', is_array($given) ? array_values($given) : []);
        $this->texts = array_slice($texts, 0, self::MOST);
        $this->days = ['hatchling' => 20, 'yearling' => 365][$request->query('age')] ?? LookFacts::ADULT;
        $seed = $request->query('individual');
        $this->seed = is_string($seed) && ctype_digit($seed) ? min(99, (int) $seed) : 0;
        $looks = $errors = [];
        foreach ($this->texts as $i => $text) {
            try {
                $text === '' ?: $looks[$i] = $this->look($text);
            } catch (DestinoError $error) {
                $errors[$i] = $error->getMessage();
            }
        }
        count($texts) <= self::MOST ?: $errors[self::MOST] = 'At most '.self::MOST.' can be compared at a time; the first '.self::MOST.' are shown.';
        $this->looks = $looks;
        $this->errors = $errors;
    }

    /** @throws DestinoError */
    private function look(string $text): Look
    {
        return $this->gallery->ofText(mb_substr($text, 0, self::LONGEST), $this->days, $this->seed);
    }

    /** @return array<string, list<string>> genotypes by what they show together */
    public function examples(): array
    {
        return self::EXAMPLES;
    }

    /** @return array<int, Look> by place among the texts */
    public function looks(): array
    {
        return $this->looks;
    }

    /** The place against which the others are held. */
    public function first(): ?int
    {
        return array_key_first($this->looks);
    }

    /** @return list<string> what sets one apart from the first */
    public function against(int $i): array
    {
        $first = $this->first();

        return $first === null || $first === $i
            ? []
            : Difference::between($this->looks[$first], $this->looks[$i], $this->gallery->facts())->words();
    }

    public function isHardToTell(int $i): bool
    {
        $first = $this->first();

        return $first !== null && $first !== $i && Distance::between($this->looks[$first], $this->looks[$i]) < Distance::SEEN;
    }

    /**
     * The same with one gene taken out of one of them: what that gene does here.
     *
     * @return list<array{string, array<string, mixed>}> the gene, and the query that shows both
     */
    public function without(int $i): array
    {
        $links = [];
        $words = $this->pieces($this->texts[$i]);
        foreach (count($words) > 1 ? $words : [] as $k => $word) {
            $rest = $words;
            unset($rest[$k]);
            $links[] = [$word, ['genes' => [$this->texts[$i], implode(' ', $rest)]] + $this->query()];
        }

        return $links;
    }

    /** @return list<string> a genotype in pieces that can be left out one by one */
    private function pieces(string $text): array
    {
        try {
            $belief = $this->gallery->belief($text);
        } catch (DestinoError) {
            return [];
        }

        return array_map(fn ($form): string => $form->text, $this->gallery->formsOf($belief));
    }

    /** @return array<string, mixed> */
    public function query(): array
    {
        return array_filter(['age' => [20 => 'hatchling', 365 => 'yearling'][$this->days] ?? null, 'individual' => $this->seed ?: null]);
    }
}
