<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Expressions;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Notation\Target;

/**
 * What each diplotype of a group is: whether it lives and meets the target, what is seen of it and what it hides. By its number in
 * the book.
 */
final class Diplotypes
{
    /** @var array<string, string> what is seen of a diplotype, by what hides and its number */
    private array $seen = [];

    /** @var array<int, bool> */
    private array $lethal = [];

    /** @var array<int, bool> */
    private array $accepts = [];

    /** @var array<int, int> options that a diplotype leaves open */
    private array $left = [];

    /** @var array<int, int> copies of wanted alleles by diplotype */
    private array $copies = [];

    public readonly bool $canHide;

    public function __construct(
        private readonly Book $book,
        private readonly LinkageGroup $group,
        private readonly Target $target,
        private readonly Expressions $expressions,
        private readonly Sight $sight,
        private readonly Wanted $wanted,
        private readonly Choices $choices,
    ) {
        $this->canHide = $sight->canHide();
    }

    /** Whether an animal of this diplotype meets the conditions of the target here; of its choices see left(). */
    public function accepts(int $state): bool
    {
        return $this->accepts[$state] ??= $this->expressions->of($this->group, $this->book->states[$state])->meets($this->target);
    }

    /** The options of the target's choices that an animal of this diplotype can still meet (Choices). */
    public function left(int $state): int
    {
        return $this->left[$state] ??= $this->choices->isAny()
            ? $this->choices->leftBy($this->expressions->of($this->group, $this->book->states[$state]))
            : 0;
    }

    public function isLethal(int $state): bool
    {
        return $this->lethal[$state] ??= $this->expressions->of($this->group, $this->book->states[$state])->isLethal;
    }

    /**
     * Equal for diplotypes that cannot be told apart by eye.
     *
     * @param list<Mask> $hiding
     */
    public function seen(int $state, array $hiding = []): string
    {
        return $this->seen[$state.self::keyOf($hiding)] ??= $this->sight->of($this->book->states[$state], $hiding);
    }

    /** @return list<Mask> */
    public function hiddenBy(int $state): array
    {
        return $this->canHide ? $this->sight->hides($this->book->states[$state]) : [];
    }

    public function sexOf(int $state): ?Sex
    {
        return $this->expressions->of($this->group, $this->book->states[$state])->sex;
    }

    public function copies(int $state): int
    {
        return $this->copies[$state] ??= $this->wanted->copiesIn($this->book->states[$state]);
    }

    /** @param list<Mask> $hiding */
    public static function keyOf(array $hiding): string
    {
        return $hiding === [] ? '' : ' '.implode(' ', array_map(spl_object_id(...), $hiding));
    }
}
