<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\Drawing\Bead;
use App\Drawing\GenotypeBeads;
use App\House\House;
use App\Models\User;
use Destino\Genome\Belief;
use Destino\Inference\Descent\Conflict;
use Destino\Inference\Descent\Derived;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Descent\Reason;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Notation\Target;
use Destino\Probability\Rational;
use LogicException;

/**
 * What is believed of every animal of a collection, derived by the core from statements and parents. Each answer is kept
 * under the content that it follows from (the animal's statements, those of its ancestors, the gene facts in use), so
 * that it is never out of date, and that one change works out only those anew whom it concerns. A page that may not wait shows
 * what was known before the last change, and says so.
 *
 * @phpstan-import-type Words from BeliefStore
 * @phpstan-import-type Body from BeliefStore
 * @phpstan-import-type Why from Relatives
 */
final class Beliefs
{
    /** What young and further relatives say besides. */
    public readonly Kin $kin;

    private readonly Individuals $individuals;

    private readonly BeliefStore $store;

    private ?ContentKeys $contents = null;

    private ?Descent $descent = null;

    /** @var array<int, Derived> */
    private array $derived = [];

    /** @var array<int, Belief> */
    private array $beliefs = [];

    /** @var array<int, string> by animal: what its belief follows from, what relatives say included, as a hash */
    private array $keys = [];

    /** @var array<int, true> animals of which statements and parents alone are heard, until what relatives say is worked out */
    private array $alone = [];

    /** @var array<int, array{string, string}>|null key and own content of each animal before the last change */
    private ?array $last = null;

    public function __construct(
        private readonly Records $records,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
        Kept $kept,
        int $keeper = 0,
        private readonly ?Patience $patience = null,
    ) {
        $this->individuals = new Individuals($records, $shelf);
        $this->store = new BeliefStore($kept, $keeper);
        $this->kin = new Kin($keeper, $records, $this->individuals, $shelf, $house, $kept, $patience);
    }

    /** @param bool $mayBeBehind whether a page of a large collection may show what was known before the last change */
    public static function of(User $keeper, CatalogueShelf $shelf, House $house, Kept $kept, bool $mayBeBehind = false): self
    {
        $records = Records::of($keeper);
        $isShort = $mayBeBehind && count($records->animals) >= Patience::FROM;

        return new self($records, $shelf, $house, $kept, $keeper->id, new Patience($kept, $keeper->id, $isShort));
    }

    /** @throws InferenceError when the records make no pedigree */
    public function derived(int $id): Derived
    {
        if (! isset($this->derived[$id])) {
            $line = $this->isBehind() && $this->descent === null ? $this->individuals->line($id) : null;
            $descent = $line === null ? $this->descent ??= $this->among($this->individuals->all()) : $this->among($line);
            $this->derived[$id] = $descent->of("a{$id}");
        }

        return $this->derived[$id];
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
        $work = fn (): Rational => $target->chanceFor($this->belief($id), $this->shelf->catalogue());

        return $this->store->chance($target, $this->key($id), $work);
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
        $key = $this->key($id);
        if ($this->store->beads($key) === null) {
            $this->work($id);
        }

        return $this->store->beads($this->key($id)) ?? [];
    }

    /** @return array<int, list<NotationError>> by statement: what of this animal's statements can no longer be read */
    public function unreadable(int $id): array
    {
        return $this->individuals->unreadable($id);
    }

    /** What follows from statements and parents alone. */
    public function beforehand(int $id): Belief
    {
        return $this->derived($id)->belief;
    }

    /** Whether what is shown is what was known before the last change. */
    public function isBehind(): bool
    {
        return $this->patience?->isBehind() ?? false;
    }

    /** Whether everything that follows from the records as they are was worked out. */
    public function isComplete(): bool
    {
        if (! $this->kin->isCurrent()) {
            return false;
        }
        foreach (array_keys($this->records->animals) as $id) {
            if ($this->store->words($this->full($id)) === null) {
                return false;
            }
        }

        return true;
    }

    /** Works out everything that is not yet. */
    public function complete(): void
    {
        foreach (array_keys($this->records->animals) as $id) {
            $this->words($id);
        }
        $this->patience?->end();
    }

    /** Equal as long as what is believed of an animal is the same. */
    public function key(int $id): string
    {
        return $this->keys[$id] ??= $this->keyToShow($id);
    }

    /** Keeps what was worked out for the next time, and lets go of what follows from records as they were. */
    public function keep(): void
    {
        if (! $this->store->isChanged() || $this->isBehind()) {
            return;
        }
        $last = [];
        foreach (array_keys($this->records->animals) as $id) {
            $last[$id] = [$this->key($id), $this->contents()->ownOf($id)];
        }
        $this->store->keep($last, $this->kin->about());
    }

    /** @param array<string, Individual> $individuals */
    private function among(array $individuals): Descent
    {
        return new Descent($this->shelf->catalogue(), $individuals, null, Families::rates($this->house)->unrecorded);
    }

    /**
     * The key of what statements and parents say of an animal. That is shown of one of which something was written just now: what
     * relatives said of it was worked out from what was written before, and would stand in the place of the new.
     */
    private function alone(int $id): string
    {
        $this->alone[$id] = true;

        return hash('xxh128', $this->contents()->of($id));
    }

    private function full(int $id): string
    {
        return hash('xxh128', $this->contents()->of($id).$this->kin->keyOf($id));
    }

    /** The key of what is recorded; in its place, where that is not worked out and nobody waits, of what was recorded before. */
    private function keyToShow(int $id): string
    {
        $key = $this->full($id);
        if ($this->patience === null || $this->store->words($key) !== null) {
            return $key;
        }
        if ($this->last === null) {
            $last = $this->store->last();
            $this->last = $last['about'] === $this->kin->about() ? $last['keys'] : [];
        }
        [$before, $own] = $this->last[$id] ?? ['', ''];
        if ($own !== $this->contents()->ownOf($id)) {
            return $this->isBehind() ? $this->alone($id) : $key;
        }
        $isKnown = $this->store->words($before) !== null && $this->store->body($id, $before) !== null;

        return $isKnown && $this->patience->isOver() ? $before : $key;
    }

    private function contents(): ContentKeys
    {
        return $this->contents ??= new ContentKeys(
            $this->records, $this->individuals, $this->shelf->fingerprint(), $this->house->number('error_unrecorded'),
        );
    }

    /** @return Words */
    private function words(int $id): array
    {
        if ($this->store->words($this->key($id)) === null) {
            $this->work($id);
        }

        return $this->store->words($this->key($id)) ?? throw new LogicException("Nothing was worked out of animal {$id}.");
    }

    /** @return Body */
    private function body(int $id): array
    {
        if ($this->store->body($id, $this->key($id)) === null) {
            $this->work($id);
        }

        return $this->store->body($id, $this->key($id)) ?? throw new LogicException("Nothing was worked out of animal {$id}.");
    }

    private function work(int $id): void
    {
        $isAlone = isset($this->alone[$id]);
        $this->keys[$id] = $isAlone ? $this->alone($id) : $this->full($id);
        $derived = $this->derived($id);
        $derived = new Derived(
            $derived->belief, $derived->reasons,
            array_values(array_filter($derived->conflicts, fn (Conflict $conflict): bool => $this->stands($conflict, $id))),
        );
        $catalogue = $this->shelf->catalogue();
        $relatives = new Relatives($catalogue);
        $this->beliefs[$id] = $belief = $relatives->join($derived->belief, $isAlone ? [] : $this->kin->statesOf($id));
        $this->store->put(
            $id, $this->keys[$id],
            ['text' => (new Printer($catalogue))->belief($belief), 'conflict' => $derived->conflicts !== [], 'groups' => $belief->groups()],
            ['key' => $this->keys[$id], 'belief' => serialize($belief), 'why' => serialize($relatives->told($derived, $belief))],
            GenotypeBeads::of($belief, $catalogue),
        );
    }

    /** Whether a conflict is still one: what the parents exclude may be explained by what is known of them since, or decided. */
    private function stands(Conflict $conflict, int $id): bool
    {
        if (! in_array(Reason::PARENTS, $conflict->sides, true) || isset($this->alone[$id]) || $this->kin->keyOf($id) === '') {
            return true;
        }
        foreach ($this->kin->contradictions() as $contradiction) {
            if ($contradiction->subject === "a{$id}" || in_array("a{$id}", $contradiction->others, true)) {
                return true;
            }
        }

        return false;
    }
}
