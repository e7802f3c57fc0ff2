<?php

declare(strict_types=1);

namespace App\Collection;

use App\Drawing\Bead;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * What was worked out of the animals of a collection, kept for the next time: words and beads of all in one go each, the beliefs
 * themselves one by one, the chances of the targets that were asked for last.
 *
 * @phpstan-type Words array{text: string, conflict: bool, groups: list<string>, alleles: list<string>}
 * @phpstan-type Body array{key: string, belief: string, why: string}
 */
final class BeliefStore
{
    /** Targets whose chances are kept. */
    private const TARGETS = 20;

    /** @var array<string, Words>|null by key */
    private ?array $words = null;

    /** @var array<string, string>|null by key; apart from the words and the bodies, as lists of many animals draw them */
    private ?array $beads = null;

    /** @var array<int, Body|null> by animal; large, so each is kept by itself and read only where it is asked for */
    private array $bodies = [];

    /** @var array<int, true> animals of which something new was worked out */
    private array $newBodies = [];

    /** @var array<string, array<string, Rational>> P by target and key */
    private array $chances = [];

    /** @var array<string, true> targets of which something new was worked out */
    private array $newChances = [];

    private bool $isChanged = false;

    public function __construct(private readonly Kept $kept, private readonly int $keeper) {}

    /** @return Words|null */
    public function words(string $key): ?array
    {
        $this->words ??= (array) $this->kept->get("beliefs:{$this->keeper}");

        return $this->words[$key] ?? null;
    }

    /** @return list<Bead>|null */
    public function beads(string $key): ?array
    {
        $this->beads ??= (array) $this->kept->get("beliefs:{$this->keeper}:beads");

        return isset($this->beads[$key]) ? unserialize($this->beads[$key]) : null;
    }

    /** @return Body|null what was worked out before, if it still holds */
    public function body(int $id, string $key): ?array
    {
        if (! array_key_exists($id, $this->bodies)) {
            $this->bodies[$id] = $this->kept->get("beliefs:{$this->keeper}:body:{$id}");
        }
        $kept = $this->bodies[$id];

        return is_array($kept) && $kept['key'] === $key ? $kept : null;
    }

    /**
     * @param Words $words
     * @param Body $body
     * @param list<Bead> $beads
     */
    public function put(int $id, string $key, array $words, array $body, array $beads): void
    {
        $this->words ??= (array) $this->kept->get("beliefs:{$this->keeper}");
        $this->beads ??= (array) $this->kept->get("beliefs:{$this->keeper}:beads");
        $this->words[$key] = $words;
        $this->beads[$key] = serialize($beads);
        $this->bodies[$id] = $body;
        $this->newBodies[$id] = true;
        $this->isChanged = true;
    }

    /** @param callable(): Rational $work */
    public function chance(Target $target, string $key, callable $work): Rational
    {
        $asked = hash('xxh128', $target->text.($target->sex === null ? '' : " {$target->sex->value}"));
        $this->chances[$asked] ??= (array) $this->kept->get("beliefs:{$this->keeper}:chance:{$asked}");
        if (! isset($this->chances[$asked][$key])) {
            $this->chances[$asked][$key] = $work();
            $this->newChances[$asked] = true;
        }

        return $this->chances[$asked][$key];
    }

    /** @return array{about: string, keys: array<int, array{string, string}>} key and own content of each animal when all was last kept */
    public function last(): array
    {
        return $this->kept->get("beliefs:{$this->keeper}:last") ?? ['about' => '', 'keys' => []];
    }

    public function isChanged(): bool
    {
        return $this->isChanged || $this->newChances !== [];
    }

    /**
     * Keeps what was worked out, and lets go of what follows from records as they were.
     *
     * @param array<int, array{string, string}> $last key and own content of each animal
     * @param string $about under which these hold
     */
    public function keep(array $last, string $about): void
    {
        $current = array_flip(array_column($last, 0));
        if ($this->newChances !== []) {
            $this->keepChances($current);
        }
        if ($this->isChanged) {
            $this->kept->put("beliefs:{$this->keeper}:beads", array_intersect_key($this->beads ?? [], $current));
            $this->kept->put("beliefs:{$this->keeper}", array_intersect_key($this->words ?? [], $current));
            foreach (array_keys($this->newBodies) as $id) {
                $this->kept->put("beliefs:{$this->keeper}:body:{$id}", $this->bodies[$id]);
            }
            $this->kept->put("beliefs:{$this->keeper}:last", [
                'about' => $about, 'keys' => array_filter($last, fn (array $one): bool => isset($this->words[$one[0]])),
            ]);
            $this->newBodies = [];
            $this->isChanged = false;
        }
    }

    /** @param array<string, int> $current keys of what is recorded now */
    private function keepChances(array $current): void
    {
        foreach (array_keys($this->newChances) as $asked) {
            $this->kept->put("beliefs:{$this->keeper}:chance:{$asked}", array_intersect_key($this->chances[$asked], $current));
        }
        $targets = [
            ...array_diff((array) $this->kept->get("beliefs:{$this->keeper}:targets"), array_keys($this->newChances)),
            ...array_keys($this->newChances),
        ];
        foreach (array_splice($targets, 0, max(0, count($targets) - self::TARGETS)) as $asked) {
            $this->kept->forget("beliefs:{$this->keeper}:chance:{$asked}");
        }
        $this->kept->put("beliefs:{$this->keeper}:targets", $targets);
        $this->newChances = [];
    }
}
