<?php

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\Drawing\Bead;
use App\Models\User;
use App\Pairing\GenotypeBeads;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\SchoolChanges;
use Destino\Genome\Sex;
use Destino\Inference\Conflict;
use Destino\Inference\Derived;
use Destino\Inference\Descent;
use Destino\Inference\Individual;
use Destino\Inference\InferenceError;
use Destino\Inference\Reason;
use Destino\Inference\Source;
use Destino\Inference\Testimony;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Notation\Target;
use Destino\Probability\Rational;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * What is believed of every animal of a collection, derived by the core from statements and parents. Each answer is kept
 * under the content that it follows from (the animal's statements, those of its ancestors, the gene facts in use), so
 * that it is never out of date, and that one change works out only those anew whom it concerns.
 *
 * @phpstan-type Words array{text: string, conflict: bool, groups: list<string>}
 * @phpstan-type Why array{reasons: array<string, list<array{string, string}>>, conflicts: list<array{list<string>, list<string>}>}
 * @phpstan-type Bodies array{belief: string, beads: string, why: string}
 */
class Beliefs
{
    /** Rises whenever what is kept changes its form or the way it is derived. */
    private const FORM = '3:';

    /** Targets whose chances are kept. */
    private const TARGETS = 20;

    /** @var array<int, Derived> */
    private array $derived = [];

    /** @var array<int, Belief> */
    private array $beliefs = [];

    /** @var array<int, list<NotationError>> what cannot be read any more, by statement */
    private array $unreadable = [];

    private ?Descent $descent = null;

    /** @var array<int, string> what the belief of an animal follows from, as a hash */
    private array $keys = [];

    /** @var array<string, Words>|null by key */
    private ?array $words = null;

    /** @var array<string, Bodies>|null by key; larger, and read only where they are asked for */
    private ?array $bodies = null;

    private bool $isChanged = false;

    /** @var array<string, array<string, string>>|null P by target and key, for the targets asked last */
    private ?array $chances = null;

    private bool $hasNewChances = false;

    private ?string $facts = null;

    /**
     * @param array<int, array{id: int, sex: string|null, sire_id: int|null, dam_id: int|null}> $animals
     * @param array<int, list<array{id: int, text: string, source: string, certainty: int, names_all: bool}>> $statements by animal
     */
    public function __construct(private readonly array $animals, private readonly array $statements, private readonly CatalogueShelf $shelf, private readonly int $keeper = 0) {}

    public static function of(User $keeper, CatalogueShelf $shelf): self
    {
        $animals = $statements = [];
        foreach (DB::table('animals')->where('user_id', $keeper->id)->whereNull('deleted_at')->orderBy('id')->get(['id', 'sex', 'sire_id', 'dam_id']) as $row) {
            $animals[$row->id] = (array) $row;
        }
        $rows = DB::table('statements')->join('animals', 'animals.id', '=', 'statements.animal_id')
            ->where('animals.user_id', $keeper->id)->whereNull('statements.deleted_at')->orderBy('statements.on')->orderBy('statements.id')
            ->get(['statements.id', 'animal_id', 'text', 'statements.source', 'certainty', 'names_all']);
        foreach ($rows as $row) {
            $statements[$row->animal_id][] = ['id' => $row->id, 'text' => $row->text, 'source' => $row->source, 'certainty' => (int) $row->certainty, 'names_all' => (bool) $row->names_all];
        }
        $beliefs = new self($animals, $statements, $shelf, $keeper->id);
        app()->terminating($beliefs->keep(...));

        return $beliefs;
    }

    /** @throws InferenceError when the records make no pedigree */
    public function derived(int $id): Derived
    {
        return $this->derived[$id] ??= $this->descent()->of("a{$id}");
    }

    /** @throws InferenceError when the records make no pedigree */
    public function belief(int $id): Belief
    {
        return $this->beliefs[$id] ??= unserialize($this->body($id)['belief']);
    }

    /** In the printer's words. */
    public function text(int $id): string
    {
        return $this->words($id)['text'];
    }

    public function hasConflict(int $id): bool
    {
        return $this->words($id)['conflict'];
    }

    /** @return list<string> the linkage groups at which it is not plainly wild type */
    public function groups(int $id): array
    {
        return $this->words($id)['groups'];
    }

    /** P(an animal meets a target), kept like the beliefs themselves. */
    public function chanceOf(Target $target, int $id): Rational
    {
        $this->chances ??= (array) Cache::get("beliefs:{$this->keeper}:chances", []);
        $asked = $target->text.($target->sex === null ? '' : " {$target->sex->value}");
        $key = $this->key($id);
        if (! isset($this->chances[$asked][$key])) {
            $this->chances[$asked][$key] = $target->chanceFor($this->belief($id), $this->shelf->catalogue())->toString();
            $this->hasNewChances = true;
        }

        return Rational::parse($this->chances[$asked][$key]);
    }

    /**
     * How it came to what is believed: by locus, who spoke and what was believed after it; and which sides exclude each other.
     *
     * @return Why
     */
    public function why(int $id): array
    {
        return unserialize($this->body($id)['why']);
    }

    /** @return list<Bead> */
    public function beads(int $id): array
    {
        return unserialize($this->body($id)['beads']);
    }

    /** @return array<int, list<NotationError>> by statement: what of this animal's statements can no longer be read */
    public function unreadable(int $id): array
    {
        foreach ($this->statements[$id] ?? [] as $statement) {
            $this->read($statement, Sex::tryFrom((string) $this->animals[$id]['sex']));
        }

        return array_intersect_key($this->unreadable, array_flip(array_column($this->statements[$id] ?? [], 'id')));
    }

    /** Keeps what was worked out for the next time, and lets go of what follows from records as they were. */
    public function keep(): void
    {
        if ($this->hasNewChances && $this->chances !== null) {
            Cache::put("beliefs:{$this->keeper}:chances", array_slice($this->chances, -self::TARGETS, null, true), now()->addMonth());
            $this->hasNewChances = false;
        }
        if ($this->isChanged) {
            $current = array_flip(array_map($this->key(...), array_keys($this->animals)));
            Cache::put("beliefs:{$this->keeper}", array_intersect_key($this->words ?? [], $current), now()->addMonth());
            Cache::put("beliefs:{$this->keeper}:bodies", array_intersect_key($this->bodies ?? [], $current), now()->addMonth());
            $this->isChanged = false;
        }
    }

    /** @return Words */
    private function words(int $id): array
    {
        $this->words ??= (array) Cache::get("beliefs:{$this->keeper}", []);
        $key = $this->key($id);
        if (! isset($this->words[$key])) {
            $this->work($id, $key);
        }

        return $this->words[$key];
    }

    /** @return Bodies */
    private function body(int $id): array
    {
        $this->bodies ??= (array) Cache::get("beliefs:{$this->keeper}:bodies", []);
        $key = $this->key($id);
        if (! isset($this->bodies[$key])) {
            $this->work($id, $key);
        }

        return $this->bodies[$key];
    }

    private function work(int $id, string $key): void
    {
        $this->words ??= (array) Cache::get("beliefs:{$this->keeper}", []);
        $this->bodies ??= (array) Cache::get("beliefs:{$this->keeper}:bodies", []);
        $derived = $this->derived($id);
        $this->beliefs[$id] = $derived->belief;
        $this->words[$key] = ['text' => (new Printer($this->shelf->catalogue()))->belief($derived->belief), 'conflict' => $derived->conflicts !== [], 'groups' => $derived->belief->groups()];
        $this->bodies[$key] = ['belief' => serialize($derived->belief), 'beads' => serialize(GenotypeBeads::of($derived->belief, $this->shelf->catalogue())), 'why' => serialize($this->told($derived))];
        $this->isChanged = true;
    }

    /** @return Why */
    private function told(Derived $derived): array
    {
        $printer = new Printer($this->shelf->catalogue());
        $wild = SchoolChanges::pairKey(Allele::WILD, Allele::WILD);
        $reasons = [];
        foreach ($derived->reasons as $locus => $steps) {
            if (array_filter($steps, fn (Reason $step): bool => ! $step->after->probabilityOf($wild)->isOne()) !== []) {
                $reasons[$locus] = array_map(fn (Reason $step): array => [$step->by, Printer::text([$printer->locus($locus, $step->after)])], $steps);
            }
        }

        return ['reasons' => $reasons, 'conflicts' => array_map(fn (Conflict $conflict): array => [$conflict->loci, $conflict->sides], $derived->conflicts)];
    }

    /** A hash of everything that the belief of an animal follows from. */
    private function key(int $id): string
    {
        if (isset($this->keys[$id])) {
            return $this->keys[$id];
        }
        $this->keys[$id] = 'loop'; // records that make an animal its own ancestor are told by the core, when it is asked
        $this->facts ??= $this->shelf->fingerprint();
        $parents = array_map(fn (?int $parent): string => $parent !== null && isset($this->animals[$parent]) ? $this->key($parent) : '-', [$this->animals[$id]['sire_id'], $this->animals[$id]['dam_id']]);

        return $this->keys[$id] = hash('xxh128', self::FORM.serialize([$this->animals[$id]['sex'], $this->statements[$id] ?? [], $parents, $this->facts]));
    }

    private function descent(): Descent
    {
        if ($this->descent === null) {
            $individuals = [];
            foreach ($this->animals as $id => $animal) {
                $sex = Sex::tryFrom((string) $animal['sex']);
                $individuals["a{$id}"] = new Individual("a{$id}", $sex, $this->parent($animal['sire_id']), $this->parent($animal['dam_id']), array_values(array_filter(array_map(fn (array $statement): ?Testimony => $this->read($statement, $sex), $this->statements[$id] ?? []))));
            }
            $this->descent = new Descent($this->shelf->catalogue(), $individuals, fn (string $parent): ?Belief => $this->known((int) substr($parent, 1)));
        }

        return $this->descent;
    }

    /** What was derived before and still holds. */
    private function known(int $id): ?Belief
    {
        $this->bodies ??= (array) Cache::get("beliefs:{$this->keeper}:bodies", []);

        return isset($this->beliefs[$id]) || isset($this->bodies[$this->key($id)]) ? $this->belief($id) : null;
    }

    private function parent(?int $id): ?string
    {
        return $id !== null && isset($this->animals[$id]) ? "a{$id}" : null;
    }

    /** @param array{id: int, text: string, source: string, certainty: int, names_all: bool} $statement */
    private function read(array $statement, ?Sex $sex): ?Testimony
    {
        $reading = $this->shelf->reader()->read($statement['text'], $sex ?? Sex::Female);
        if ($reading->belief === null) {
            $this->unreadable[$statement['id']] = $reading->errors;

            return null;
        }

        return new Testimony((string) $statement['id'], $reading->belief, Source::from($statement['source']), Rational::of($statement['certainty'], 100), $statement['names_all']);
    }
}
