<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Cells\SoftCells;
use App\Models\User;
use Destino\Genome\Sex;

/** The animals of a collection and of a list that is brought into it: who is there already, and who can be whose parent. */
final class ListedAnimals
{
    /** @var array<string, string> name by number, in lower case */
    private array $numbers = [];

    /** @var array<string, string> name by name and hatch date, in lower case */
    private array $names = [];

    /** @var array<string, string> sex by name or number, in lower case, of everything that a parent can be; empty where it is not known */
    private array $parents = [];

    /**
     * @param array<string, true> $listed names and numbers of the list, in lower case
     * @param list<int> $made animals that came from this list already, when it is taken up again
     */
    public function __construct(User $keeper, private readonly array $listed, array $made = [])
    {
        $this->read($keeper, $made);
    }

    /** An animal of the list can be a parent of another. */
    public function add(ImportRow $row): void
    {
        foreach (['number', 'name'] as $key) {
            $text = mb_strtolower((string) ($row->values[$key] ?? ''));
            if ($text !== '') {
                $this->parents[$text] ??= (string) ($row->values['sex']->value ?? '');
            }
        }
    }

    /** A name, nobody, or several of whom one is meant: kinship never goes through a guess. */
    public function parent(ImportRow $row, string $role, string $text): ?string
    {
        if (SoftCells::isNobody($text)) {
            return null;
        }
        $names = $this->isKnown($text) ? [$text] : SoftCells::parents($text);
        if (count($names) > 1) {
            $row->ask($role, $text, 'Which of '.implode(' and ', $names)." is the {$role}? Until then it is not known.", $names);

            return null;
        }

        return mb_substr($names[0] ?? $text, 0, 80);
    }

    private function isKnown(string $name): bool
    {
        return isset($this->parents[mb_strtolower($name)]) || isset($this->listed[mb_strtolower($name)]);
    }

    /** @param list<int> $made */
    private function read(User $keeper, array $made): void
    {
        foreach (
            $keeper->animals()->withTrashed()->whereNotIn('id', $made)->get([
                'id', 'name', 'number', 'sex', 'hatched_on', 'hatched_precision', 'deleted_at',
            ]) as $animal
        ) {
            if ($animal->number !== null) {
                $this->numbers[mb_strtolower($animal->number)] = $animal->name;
            }
            if (! $animal->trashed()) {
                $this->names[mb_strtolower($animal->name).'|'.$animal->hatched_on?->format('Y-m-d')] = $animal->name;
                $this->parents[mb_strtolower($animal->name)] ??= $animal->sex->value ?? '';
                $this->parents[mb_strtolower((string) $animal->number)] ??= $animal->sex->value ?? '';
            }
        }
    }

    /** Remarks what is in the collection or stands in the list before. */
    public function repeats(ImportRow $row): void
    {
        $number = mb_strtolower((string) $row->values['number']);
        $name = mb_strtolower((string) $row->values['name']).'|'.$row->values['hatched_on'];
        if ($number !== '' && isset($this->numbers[$number])) {
            $row->repeats = "the number {$row->values['number']} belongs to {$this->numbers[$number]}";
        } elseif (isset($this->names[$name])) {
            $row->repeats = "{$this->names[$name]} of the same hatch date";
        }
        if ($number !== '') {
            $this->numbers[$number] ??= "row {$row->line}";
        }
        $this->names[$name] ??= "row {$row->line}";
    }

    public function parentsOf(ImportRow $row): void
    {
        foreach (['sire' => Sex::Male, 'dam' => Sex::Female] as $role => $sex) {
            $name = $row->{$role};
            if ($name === null) {
                continue;
            }
            $found = $this->parents[mb_strtolower($name)] ?? null;
            $isItself = in_array(
                mb_strtolower($name), [mb_strtolower((string) $row->values['name']), mb_strtolower((string) $row->values['number'])], true,
            );
            if ($isItself) {
                $row->remark($role, $name, "An animal is not its own {$role}: not known.");
                $row->{$role} = null;
            } elseif ($found === null) {
                $row->notes[] = "{$name} is not in the list or the collection: kept as an outside {$role}.";
            } elseif ($found !== '' && $found !== $sex->value) {
                $row->remark($role, $name, "{$name} is {$found} and cannot be the {$role}: not known.");
                $row->{$role} = null;
            } elseif ($found === '') {
                $row->remark($role, $name, "Of {$name} no sex is known: kept as an open name, until it is.");
            }
        }
    }
}
