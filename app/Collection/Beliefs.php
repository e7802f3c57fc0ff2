<?php

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\Models\User;
use Destino\Genome\Belief;
use Destino\Genome\Sex;
use Destino\Inference\Derived;
use Destino\Inference\Descent;
use Destino\Inference\Individual;
use Destino\Inference\InferenceError;
use Destino\Inference\Source;
use Destino\Inference\Testimony;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Probability\Rational;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * What is believed of every animal of a collection, derived by the core from statements and parents. Answers are kept
 * under the content that they follow from, so that they are never out of date.
 */
class Beliefs
{
    /** @var array<int, Derived> */
    private array $derived = [];

    /** @var array<int, string> */
    private array $texts = [];

    /** @var array<int, list<NotationError>> what cannot be read any more, by statement */
    private array $unreadable = [];

    private ?Descent $descent = null;

    private bool $isWhole = false;

    /**
     * @param array<int, array{id: int, sex: string|null, sire_id: int|null, dam_id: int|null}> $animals
     * @param array<int, list<array{id: int, text: string, source: string, certainty: int, names_all: bool}>> $statements by animal
     */
    public function __construct(private readonly array $animals, private readonly array $statements, private readonly CatalogueShelf $shelf) {}

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

        return new self($animals, $statements, $shelf);
    }

    /** @throws InferenceError when the records make no pedigree */
    public function derived(int $id): Derived
    {
        if (! isset($this->derived[$id]) && ! $this->isWhole && count($this->derived) > 80) {
            $this->work(); // most of the collection is asked for: take what is kept, or keep it now
        }

        return $this->derived[$id] ??= $this->descent()->of("a{$id}");
    }

    public function belief(int $id): Belief
    {
        return $this->derived($id)->belief;
    }

    /** In the printer's words. */
    public function text(int $id): string
    {
        return $this->texts[$id] ??= (new Printer($this->shelf->catalogue()))->belief($this->belief($id));
    }

    /** @return array<int, list<NotationError>> by statement: what of this animal's statements can no longer be read */
    public function unreadable(int $id): array
    {
        $this->descent();

        return array_intersect_key($this->unreadable, array_flip(array_column($this->statements[$id] ?? [], 'id')));
    }

    /** Works out all animals, from what is kept where nothing has changed. */
    public function work(): void
    {
        if ($this->isWhole) {
            return;
        }
        $this->isWhole = true;
        $key = 'beliefs:'.hash('xxh128', serialize([$this->animals, $this->statements]).$this->shelf->fingerprint());
        $kept = Cache::get($key);
        if (is_array($kept)) {
            [$this->derived, $this->texts] = $kept;

            return;
        }
        foreach (array_keys($this->animals) as $id) {
            $this->derived($id);
            $this->text($id);
        }
        Cache::put($key, [$this->derived, $this->texts], now()->addDay());
    }

    private function descent(): Descent
    {
        if ($this->descent === null) {
            $individuals = [];
            foreach ($this->animals as $id => $animal) {
                $sex = Sex::tryFrom((string) $animal['sex']);
                $individuals["a{$id}"] = new Individual("a{$id}", $sex, $this->parent($animal['sire_id']), $this->parent($animal['dam_id']), $this->testimonies($id, $sex));
            }
            $this->descent = new Descent($this->shelf->catalogue(), $individuals);
        }

        return $this->descent;
    }

    private function parent(?int $id): ?string
    {
        return $id !== null && isset($this->animals[$id]) ? "a{$id}" : null;
    }

    /** @return list<Testimony> */
    private function testimonies(int $id, ?Sex $sex): array
    {
        $testimonies = [];
        foreach ($this->statements[$id] ?? [] as $statement) {
            $reading = $this->shelf->reader()->read($statement['text'], $sex ?? Sex::Female);
            if ($reading->belief === null) {
                $this->unreadable[$statement['id']] = $reading->errors;
            } else {
                $testimonies[] = new Testimony((string) $statement['id'], $reading->belief, Source::from($statement['source']), Rational::of($statement['certainty'], 100), $statement['names_all']);
            }
        }

        return $testimonies;
    }
}
