<?php

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\Drawing\Bead;
use App\Drawing\GenotypeBeads;
use App\House\House;
use App\Models\User;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Genome\SchoolChanges;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Inference\Descent\Conflict;
use Destino\Inference\Descent\Derived;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Descent\Reason;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Notation\Target;
use Destino\Probability\Distribution;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * What is believed of every animal of a collection, derived by the core from statements and parents. Each answer is kept
 * under the content that it follows from (the animal's statements, those of its ancestors, the gene facts in use), so
 * that it is never out of date, and that one change works out only those anew whom it concerns.
 *
 * @phpstan-type Words array{text: string, conflict: bool, groups: list<string>}
 * @phpstan-type Why array{reasons: array<string, list<array{string, string}>>, conflicts: list<array{list<string>, list<string>}>}
 * @phpstan-type Body array{key: string, belief: string, why: string}
 */
class Beliefs
{
    /** Targets whose chances are kept. */
    private const TARGETS = 20;

    /** @var array<int, Derived> */
    private array $derived = [];

    /** @var array<int, Belief> */
    private array $beliefs = [];

    /** @var array<int, list<NotationError>> what cannot be read any more, by statement */
    private array $unreadable = [];

    private ?Descent $descent = null;

    /** @var list<array<string, mixed>> */
    private readonly array $clutches;

    /** What young and further relatives say besides. */
    public readonly Kin $kin;

    /** @var array<string, Individual>|null */
    private ?array $individuals = null;

    /** @var array<int, string> what the belief of an animal follows from, as a hash */
    private array $keys = [];

    /** @var array<int, string> the same with what relatives say */
    private array $full = [];

    /** @var array<string, Words>|null by key */
    private ?array $words = null;

    /** @var array<int, Body|null> by animal; large, so each is kept by itself and read only where it is asked for */
    private array $bodies = [];

    /** @var array<int, true> animals of which something new was worked out */
    private array $newBodies = [];

    /** @var array<string, string>|null by key; apart from the words and the bodies, as lists of many animals draw them */
    private ?array $beads = null;

    private bool $isChanged = false;

    /** @var array<string, array<string, Rational>> P by target and key */
    private array $chances = [];

    /** @var array<string, true> targets of which something new was worked out */
    private array $newChances = [];

    private ?string $facts = null;

    private ?string $outside = null;

    /** @var array<string, Sex>|null */
    private ?array $sexes = null;

    /**
     * @param array<int, array{id: int, sex: string|null, sire_id: int|null, dam_id: int|null, sire_name: string|null, clutch_id: int|null}> $animals
     * @param array<int, list<array{id: int, text: string, source: string, certainty: int, names_all: bool}>> $statements by animal
     * @param array<string, mixed>|null $seen clutches, counts and decisions (Kin::rows)
     */
    public function __construct(
        private readonly array $animals,
        private readonly array $statements,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
        private readonly Kept $kept,
        private readonly int $keeper = 0,
        ?array $seen = null,
    ) {
        $this->clutches = $seen['clutches'] ?? [];
        $this->kin = new Kin(
            $keeper,
            ['animals' => $animals, 'statements' => $statements] + ($seen ?? ['clutches' => [], 'counts' => [], 'decisions' => []]),
            $this->individuals(...), $shelf, $house, $kept,
        );
    }

    public static function of(User $keeper, CatalogueShelf $shelf, House $house, Kept $kept): self
    {
        $animals = $statements = [];
        foreach (
            DB::table('animals')->where('user_id', $keeper->id)
                ->whereNull('deleted_at')
                ->orderBy('id')
                ->get(['id', 'sex', 'sire_id', 'dam_id', 'sire_name', 'clutch_id']) as $row
        ) {
            $animals[$row->id] = (array) $row;
        }
        $rows = DB::table('statements')->join('animals', 'animals.id', '=', 'statements.animal_id')
            ->where('animals.user_id', $keeper->id)->whereNull('statements.deleted_at')->orderBy('statements.on')->orderBy('statements.id')
            ->get(['statements.id', 'animal_id', 'text', 'statements.source', 'certainty', 'names_all']);
        foreach ($rows as $row) {
            $statements[$row->animal_id][] = [
                'id' => $row->id, 'text' => $row->text, 'source' => $row->source, 'certainty' => (int) $row->certainty,
                'names_all' => (bool) $row->names_all,
            ];
        }
        return new self($animals, $statements, $shelf, $house, $kept, $keeper->id, Kin::rows($keeper->id));
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
        $asked = hash('xxh128', $target->text.($target->sex === null ? '' : " {$target->sex->value}"));
        $this->chances[$asked] ??= (array) $this->kept->get("beliefs:{$this->keeper}:chance:{$asked}");
        $key = $this->key($id);
        if (! isset($this->chances[$asked][$key])) {
            $this->chances[$asked][$key] = $target->chanceFor($this->belief($id), $this->shelf->catalogue());
            $this->newChances[$asked] = true;
        }

        return $this->chances[$asked][$key];
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
        $this->beads ??= (array) $this->kept->get("beliefs:{$this->keeper}:beads");
        $key = $this->key($id);
        if (! isset($this->beads[$key])) {
            $this->work($id, $key);
        }

        return unserialize($this->beads[$key]);
    }

    /** @return array<int, list<NotationError>> by statement: what of this animal's statements can no longer be read */
    public function unreadable(int $id): array
    {
        foreach ($this->statements[$id] ?? [] as $statement) {
            $this->read($statement, Sex::tryFrom((string) $this->sexOf($id)));
        }

        return array_intersect_key($this->unreadable, array_flip(array_column($this->statements[$id] ?? [], 'id')));
    }

    /** Keeps what was worked out for the next time, and lets go of what follows from records as they were. */
    public function keep(): void
    {
        if ($this->newChances === [] && ! $this->isChanged) {
            return;
        }
        $current = array_flip(array_map($this->key(...), array_keys($this->animals)));
        if ($this->newChances !== []) {
            $this->keepChances($current);
        }
        if ($this->isChanged) {
            $this->kept->put("beliefs:{$this->keeper}:beads", array_intersect_key($this->beads ?? [], $current));
            $this->kept->put("beliefs:{$this->keeper}", array_intersect_key($this->words ?? [], $current));
            foreach (array_keys($this->newBodies) as $id) {
                $this->kept->put("beliefs:{$this->keeper}:body:{$id}", $this->bodies[$id]);
            }
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

    /** @return Words */
    private function words(int $id): array
    {
        $this->words ??= (array) $this->kept->get("beliefs:{$this->keeper}");
        $key = $this->key($id);
        if (! isset($this->words[$key])) {
            $this->work($id, $key);
        }

        return $this->words[$key];
    }

    /** @return Body */
    private function body(int $id): array
    {
        if ($this->keptBody($id) === null) {
            $this->work($id, $this->key($id));
        }

        return $this->bodies[$id] ?? throw new LogicException("Nothing was worked out of animal {$id}.");
    }

    /** @return Body|null what was worked out before, if it still holds */
    private function keptBody(int $id): ?array
    {
        if (! array_key_exists($id, $this->bodies)) {
            $kept = $this->kept->get("beliefs:{$this->keeper}:body:{$id}");
            $this->bodies[$id] = is_array($kept) && $kept['key'] === $this->key($id) ? $kept : null;
        }

        return $this->bodies[$id];
    }

    private function work(int $id, string $key): void
    {
        $this->words ??= (array) $this->kept->get("beliefs:{$this->keeper}");
        $this->beads ??= (array) $this->kept->get("beliefs:{$this->keeper}:beads");
        $derived = $this->derived($id);
        $derived = new Derived(
            $derived->belief, $derived->reasons,
            array_values(array_filter($derived->conflicts, fn (Conflict $conflict): bool => $this->stands($conflict, $id))),
        );
        $belief = $this->withRelatives($derived->belief, $id);
        $this->beliefs[$id] = $belief;
        $this->words[$key] = [
            'text' => (new Printer($this->shelf->catalogue()))->belief($belief), 'conflict' => $derived->conflicts !== [],
            'groups' => $belief->groups(),
        ];
        $this->bodies[$id] = ['key' => $key, 'belief' => serialize($belief), 'why' => serialize($this->told($derived, $belief))];
        $this->beads[$key] = serialize(GenotypeBeads::of($belief, $this->shelf->catalogue()));
        $this->newBodies[$id] = true;
        $this->isChanged = true;
    }

    /** Whether a conflict is still one: what the parents exclude may be explained by what is known of them since, or decided. */
    private function stands(Conflict $conflict, int $id): bool
    {
        if (! in_array(Reason::PARENTS, $conflict->sides, true) || $this->kin->keyOf($id) === '') {
            return true;
        }
        foreach ($this->kin->contradictions() as $contradiction) {
            if ($contradiction->subject === "a{$id}" || in_array("a{$id}", $contradiction->others, true)) {
                return true;
            }
        }

        return false;
    }

    /** What follows from statements and parents, with what all relatives say in its place wherever they say something. */
    private function withRelatives(Belief $belief, int $id): Belief
    {
        $factors = [];
        $said = [];
        foreach ($this->kin->statesOf($id) as [$groups, $states]) {
            $said = [...$said, ...$groups];
            array_push($factors, ...self::apart(new JointBelief($groups, $states)));
        }
        foreach ($belief->factors as $factor) {
            if (array_intersect($factor->groups, $said) === []) {
                $factors[] = $factor;
            }
        }
        $order = array_flip(array_keys($this->shelf->catalogue()->groups));
        usort($factors, fn (JointBelief $a, JointBelief $b): int => $order[$a->groups[0]] <=> $order[$b->groups[0]]);

        return new Belief($belief->sex, $factors);
    }

    /** @return list<JointBelief> groups that are independent each by itself; those that are plainly wild type left out */
    private static function apart(JointBelief $joint): array
    {
        $single = [];
        foreach ($joint->groups as $group) {
            $weighted = [];
            foreach ($joint->states->entries() as [$state, $chance]) {
                $own = State::of([$group => $state->diplotypes[$group]]);
                $weighted[] = [$own->key, $own, $chance];
            }
            $single[$group] = new JointBelief([$group], Distribution::ofWeighted($weighted));
        }
        if (count($joint->groups) > 1) {
            foreach ($joint->states->entries() as [$state, $chance]) {
                $product = Rational::one();
                foreach ($joint->groups as $group) {
                    $product = $product->times($single[$group]->states->probabilityOf($state->diplotypes[$group]->key));
                }
                if (! $product->equals($chance)) {
                    return [$joint];
                }
            }
            $size = array_product(array_map(fn (JointBelief $one): int => $one->states->count(), $single));
            if ($size !== $joint->states->count()) {
                return [$joint];
            }
        }

        return array_values(array_filter($single, function (JointBelief $one): bool {
            foreach ($one->states->entries() as [$state]) {
                foreach ($state->diplotypes as $diplotype) {
                    if (! $diplotype->isWild()) {
                        return true;
                    }
                }
            }

            return false;
        }));
    }

    /** @return Why */
    private function told(Derived $derived, Belief $belief): array
    {
        $printer = new Printer($this->shelf->catalogue());
        $wild = SchoolChanges::pairKey(Allele::WILD, Allele::WILD);
        $reasons = [];
        foreach ($derived->reasons as $locus => $steps) {
            if (array_filter($steps, fn (Reason $step): bool => ! $step->after->probabilityOf($wild)->isOne()) !== []) {
                $reasons[$locus] = array_map(
                    fn (Reason $step): array => [$step->by, Printer::text([$printer->locus($locus, $step->after)])], $steps,
                );
            }
        }
        foreach ($belief->groups() as $key) {
            $group = $this->shelf->catalogue()->groups[$key];
            foreach ($group->loci as $locus) {
                $before = $derived->belief->marginalAt($locus, $group);
                $after = $belief->marginalAt($locus, $group);
                foreach ($locus === Sex::LOCUS ? [] : $after->entries() as $pair => [, $chance]) {
                    if (! $chance->equals($before->probabilityOf($pair))) {
                        $reasons[$locus][] = [Reason::RELATIVES, Printer::text([$printer->locus($locus, $after)])];
                        break;
                    }
                }
            }
        }

        return [
            'reasons' => $reasons,
            'conflicts' => array_map(fn (Conflict $conflict): array => [$conflict->loci, $conflict->sides], $derived->conflicts),
        ];
    }

    /** A hash of everything that the belief of an animal follows from. */
    private function key(int $id): string
    {
        return $this->full[$id] ??= hash('xxh128', $this->forward($id).$this->kin->keyOf($id));
    }

    /** A hash of what follows from statements and parents alone. */
    private function forward(int $id): string
    {
        if (isset($this->keys[$id])) {
            return $this->keys[$id];
        }
        $this->keys[$id] = 'loop'; // records that make an animal its own ancestor are told by the core, when it is asked
        $this->facts ??= $this->shelf->fingerprint();
        $parents = array_map(
            fn (?int $parent): string => $parent !== null && isset($this->animals[$parent]) ? $this->forward($parent) : '-',
            [$this->animals[$id]['sire_id'], $this->animals[$id]['dam_id']],
        );

        $isHalfKnown = ($parents[0] === '-') !== ($parents[1] === '-');

        return $this->keys[$id] = hash(
            'xxh128',
            serialize([$this->sexOf($id), $this->statements[$id] ?? [], $parents, $this->facts, $isHalfKnown ? $this->outside() : '']),
        );
    }

    private function sexOf(int $id): ?string
    {
        $this->sexes ??= ClutchParents::sexes($this->animals, $this->clutches);

        return ($this->sexes["a{$id}"] ?? null)?->value;
    }

    /** What is said of all founders, from whom it follows how often animals from outside carry a gene. */
    private function outside(): string
    {
        if ($this->outside === null) {
            $founders = array_keys(
                array_filter(
                    $this->animals,
                    fn (array $animal): bool => ! isset(
                        $this->animals[$animal['sire_id'] ?? 0],
                    ) && ! isset($this->animals[$animal['dam_id'] ?? 0]),
                ),
            );
            $this->outside = hash(
                'xxh128',
                serialize([
                    $founders, array_intersect_key($this->statements, array_flip($founders)),
                    $this->house->number('error_unrecorded'),
                ]),
            );
        }

        return $this->outside;
    }

    private function descent(): Descent
    {
        return $this->descent ??= new Descent($this->shelf->catalogue(), $this->individuals(), null, Kin::rates($this->house)->unrecorded);
    }

    /** What follows from statements and parents alone. */
    public function beforehand(int $id): Belief
    {
        return $this->derived($id)->belief;
    }

    /** @return array<string, Individual> */
    private function individuals(): array
    {
        if ($this->individuals === null) {
            $this->individuals = [];
            $sexes = ClutchParents::sexes($this->animals, $this->clutches);
            foreach ($this->animals as $id => $animal) {
                $sex = $sexes["a{$id}"] ?? null;
                $this->individuals["a{$id}"] = new Individual(
                    "a{$id}", $sex, $this->parent($animal['sire_id']), $this->parent($animal['dam_id']),
                    array_values(
                        array_filter(
                            array_map(fn (array $statement): ?Testimony => $this->read($statement, $sex), $this->statements[$id] ?? []),
                        ),
                    ),
                );
            }
        }

        return $this->individuals;
    }

    private function parent(?int $id): ?string
    {
        return $id !== null && isset($this->animals[$id]) ? "a{$id}" : null;
    }

    /** @param array{id: int, text: string, source: string, certainty: int, names_all: bool} $statement */
    private function read(array $statement, ?Sex $sex): ?Testimony
    {
        $reading = $this->shelf->reader()->read($statement['text'], $sex);
        if ($reading->belief === null) {
            $this->unreadable[$statement['id']] = $reading->errors;

            return null;
        }

        return new Testimony(
            (string) $statement['id'], $reading->belief, Source::from($statement['source']),
            Probability::ratio($statement['certainty'], 100), $statement['names_all'], $reading->absent,
        );
    }
}
