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
use Destino\Inference\Descent\Reason;
use Destino\Inference\Evidence\InferenceError;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Notation\Target;
use Destino\Pairing\Transmission;
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

    private readonly Derivations $derivations;

    private readonly BeliefStore $store;

    private readonly BeliefKeys $keys;

    /** @var array<int, Belief> */
    private array $beliefs = [];

    public function __construct(
        public readonly Records $records,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
        Kept $kept,
        int $keeper = 0,
        private readonly ?Patience $patience = null,
    ) {
        $this->individuals = new Individuals($records, $shelf);
        $this->derivations = new Derivations($this->individuals, $shelf, $house);
        $this->store = new BeliefStore($kept, $keeper);
        $this->kin = new Kin($keeper, $records, $this->individuals, $shelf, $house, $kept, $patience);
        $this->keys = new BeliefKeys($records, $this->individuals, $this->store, $this->kin, $shelf, $house, $patience);
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
        return $this->derivations->derived($id, $this->isBehind());
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

    /** @return list<string> alleles that it carries or may carry */
    public function alleles(int $id): array
    {
        return $this->words($id)['alleles'];
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
        return $this->derivations->derived($id, $this->isBehind())->belief;
    }

    /** Whether what is shown is what was known before the last change. */
    public function isBehind(): bool
    {
        return $this->patience?->isBehind() ?? false;
    }

    /** Asked where something else that follows from the records is not worked out yet, and a worker is at it. */
    public function goesOnWithWhatWasKnown(): bool
    {
        return $this->patience->isOver();
    }

    /** Whether everything that follows from the records as they are was worked out. */
    public function isComplete(): bool
    {
        return $this->keys->areComplete();
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
        return $this->keys->key($id);
    }

    /** Keeps what was worked out for the next time, and lets go of what follows from records as they were. */
    public function keep(): void
    {
        if (! $this->store->isChanged() || $this->isBehind()) {
            return;
        }
        $last = [];
        foreach (array_keys($this->records->animals) as $id) {
            $last[$id] = [$this->key($id), $this->keys->contents()->ownOf($id)];
        }
        $this->store->keep($last, $this->kin->about());
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
        $isAlone = $this->keys->isAlone($id);
        $key = $this->keys->worked($id);
        $derived = $this->derivations->derived($id, $this->isBehind());
        $derived = new Derived(
            $derived->belief, $derived->reasons,
            array_values(array_filter($derived->conflicts, fn (Conflict $conflict): bool => $this->stands($conflict, $id))),
        );
        $catalogue = $this->shelf->catalogue();
        $relatives = new Relatives($catalogue);
        $this->beliefs[$id] = $belief = $relatives->join($derived->belief, $isAlone ? [] : $this->kin->statesOf($id));
        $this->store->put(
            $id, $key,
            [
                'text' => (new Printer($catalogue))->belief($belief), 'conflict' => $derived->conflicts !== [],
                'groups' => $belief->groups(), 'alleles' => array_column(array_column(Transmission::of($belief, $catalogue), 0), 'key'),
            ],
            ['key' => $key, 'belief' => serialize($belief), 'why' => serialize($relatives->told($derived, $belief))],
            GenotypeBeads::of($belief, $catalogue),
        );
    }

    /** Whether a conflict is still one: what the parents exclude may be explained by what is known of them since, or decided. */
    private function stands(Conflict $conflict, int $id): bool
    {
        return ! in_array(Reason::PARENTS, $conflict->sides, true) || $this->keys->isAlone($id) || $this->kin->keyOf($id) === ''
            || $this->kin->isExcluded($id);
    }
}
