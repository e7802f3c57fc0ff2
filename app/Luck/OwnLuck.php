<?php

declare(strict_types=1);

namespace App\Luck;

use App\Collection\Opened;
use App\Models\Clutch;
use App\Projects\LuckSoFar;
use Destino\DestinoError;
use Destino\Probability\Luck;
use Destino\Probability\LuckTogether;
use Illuminate\Database\Eloquent\Collection;

/**
 * Luck as the records tell it: of a clutch, of all clutches of a pairing, or of a female with all her mates. Eggs and hits are
 * counted from the young; the chances are those of the parents.
 *
 * @phpstan-import-type LuckRow from LuckSoFar
 */
class OwnLuck
{
    /** @var list<LuckRow> by pairing */
    public readonly array $rows;

    public readonly string $of;

    public readonly string $target;

    /** @var array<string, string> message by field */
    public readonly array $errors;

    /** @var Collection<int, Clutch> hatched, the newest first */
    private readonly Collection $clutches;

    /** @param array<array-key, mixed> $query */
    public function __construct(array $query, private readonly Opened $opened)
    {
        $text = fn (string $field): string => is_string($query[$field] ?? null) ? trim($query[$field]) : '';
        [$this->of, $this->target] = [$text('of'), $text('target')];
        $this->clutches = $opened->keeper()->clutches()->with('dam', 'sires.animal', 'counts', 'hatchlings')->get()
            ->filter(fn (Clutch $clutch): bool => $clutch->hatched !== null)->sortByDesc('hatched_on')->values();
        [$this->rows, $this->errors] = $this->reckoned();
    }

    public function isAsked(): bool
    {
        return $this->of !== '' || $this->target !== '';
    }

    public function together(): LuckTogether
    {
        return new LuckTogether(array_map(fn (array $row): Luck => $row['luck'], $this->rows));
    }

    /** @return array<string, array<string, string>> what can be asked about, by kind: words by key */
    public function choices(): array
    {
        $choices = ['A clutch' => [], 'All clutches of a pairing' => [], 'All clutches of a female' => []];
        foreach ($this->clutches as $clutch) {
            $sire = $this->sire($clutch);
            $name = $clutch->sires->map(fn ($one): string => $one->animal->name ?? (string) $one->name)->filter()->implode(' or ');
            $day = $clutch->hatched_on?->format('j M Y') ?? 'on an unrecorded day';
            $choices['A clutch']["clutch-{$clutch->id}"] = "{$clutch->dam->name} × {$name}, hatched {$day}";
            $choices['All clutches of a female']["dam-{$clutch->dam_id}"] = $clutch->dam->name;
            if ($sire !== null) {
                $choices['All clutches of a pairing']["pair-{$sire}-{$clutch->dam_id}"] = "{$name} × {$clutch->dam->name}";
            }
        }

        return array_filter($choices);
    }

    /** @return array{list<LuckRow>, array<string, string>} */
    private function reckoned(): array
    {
        if (! $this->isAsked()) {
            return [[], []];
        }
        $asked = array_values($this->clutches->filter($this->isMeant(...))->all());
        if ($asked === []) {
            return [[], ['of' => 'Choose one of your hatched clutches, a pairing or a female.']];
        }
        try {
            $target = $this->opened->shelf->targetsWithChoices()->read($this->target);

            return [(new LuckSoFar($target, $asked, $this->opened->beliefs(), $this->opened->shelf))->rows(), []];
        } catch (DestinoError $error) {
            return [[], ['target' => $this->target === '' ? 'Enter a target, for example Clown.' : $error->getMessage()]];
        }
    }

    private function isMeant(Clutch $clutch): bool
    {
        return in_array($this->of, ["clutch-{$clutch->id}", "dam-{$clutch->dam_id}", "pair-{$this->sire($clutch)}-{$clutch->dam_id}"],
            true);
    }

    /** The sire where it is sure who he is. */
    private function sire(Clutch $clutch): ?int
    {
        return $clutch->sires->count() === 1 ? $clutch->sires[0]?->animal_id : null;
    }
}
