<?php

declare(strict_types=1);

namespace App\Collection;

use App\Models\Animal;
use App\Models\User;
use Illuminate\Support\Collection;

/** Animals that are here, of which one is chosen as a parent: all of them where they are few, else as somebody types. */
final class Candidates
{
    /** Lists longer than this are searched by typing. */
    private const FEW = 15;

    /** Suggestions at one time. */
    private const SHOWN = 20;

    /** @var Collection<string, Collection<int, Animal>> by sex */
    private readonly Collection $animals;

    public function __construct(User $keeper, private readonly Beliefs $beliefs)
    {
        $statuses = Statuses::of($keeper);
        $this->animals = $keeper->animals()->whereNotNull('sex')->orderBy('name')->get(['id', 'user_id', 'name', 'number', 'sex'])->toBase()
            ->filter(fn (Animal $animal): bool => $statuses->status($animal->id)->isHere())
            ->groupBy(fn (Animal $animal): string => $animal->sex->value ?? '');
    }

    public function isLong(string $sex): bool
    {
        return $this->of($sex)->count() > self::FEW;
    }

    /** @return Collection<int, Animal> of a sex */
    public function of(string $sex): Collection
    {
        return $this->animals->get($sex, new Collection);
    }

    /**
     * @return list<array{value: int, text: string, genotype: string}> with what is typed in the name, the number or the genes, the
     *     names first
     */
    public function suggested(string $sex, string $typed): array
    {
        $named = $others = [];
        foreach ($this->of($sex) as $animal) {
            $isNamed = $typed === '' || mb_stripos("{$animal->name} {$animal->number}", $typed) !== false;
            if ($isNamed) {
                $named[] = $animal;
            } elseif (mb_stripos($this->beliefs->text($animal->id), $typed) !== false) {
                $others[] = $animal;
            }
            if (count($named) >= self::SHOWN) {
                break;
            }
        }

        return array_map(fn (Animal $one): array => [
            'value' => $one->id, 'text' => $this->label($one), 'genotype' => $this->beliefs->text($one->id),
        ], array_slice([...$named, ...$others], 0, self::SHOWN));
    }

    public function genotype(Animal $animal): string
    {
        return $this->beliefs->text($animal->id);
    }

    public function label(Animal $animal): string
    {
        return $animal->name.' · '.mb_strimwidth($this->genotype($animal), 0, 61, '…');
    }
}
