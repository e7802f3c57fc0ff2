<?php

declare(strict_types=1);

namespace App\Projects;

use App\Drawing\TextFit;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\ClutchSire;

/**
 * A route as a river: a column for each generation, crosses as junctions, founders at the source of their arm. What really
 * happened is drawn over it: the recorded clutches that its founders came from lie upstream of them, and a cross that was
 * made already says what came of it.
 *
 * @phpstan-type Node array{x: float, y: float, title: list<string>, full: string, text: string, kind: string, note: string,
 *     done: string|null, genes: string, animal: string}
 */
class River
{
    private const COLUMN = 272.0;

    private const ROW = 150.0;

    public const NODE_WIDTH = 240;

    public const NODE_HEIGHT = 136;

    /** Height of the drawing at the head of a node. */
    public const DRAWN = 38;

    /** @var array<string, Node> */
    private array $nodes = [];

    /** @var array<int, int> last row in use, by column */
    private array $rows = [];

    /** @var list<array{from: array{float, float}, to: array{float, float}, wide: float, isPast: bool}> */
    public array $lines = [];

    private readonly int $shift;

    /**
     * @param  array<string, mixed>  $route
     * @param  list<Clutch>  $clutches  what is recorded of the project
     */
    public function __construct(private readonly array $route, private readonly ProjectPage $page, private readonly array $clutches)
    {
        $origins = $this->origins();
        $this->shift = $origins === [] ? 0 : 1;
        $level = [];
        foreach ($route['steps'] as $step) {
            $level[$step['key']] = 1 + max($level[$step['from']['sire'] ?? ''] ?? 0, $level[$step['from']['dam'] ?? ''] ?? 0);
        }
        foreach ($route['steps'] as $step) {
            foreach (['sire', 'dam'] as $role) {
                if ($step['from'][$role] === null) {
                    $this->place(
                        "{$role} {$step[$role]}", 0, $page->named($step[$role]), $step["{$role}_genes"], 'founder',
                        $role === 'sire' ? 'male' : 'female', genes: $step["{$role}_genes"], animal: $step[$role],
                    );
                }
            }
            $keep = $step['keep'][0];
            $isLast = $step['key'] === 'target';
            $this->place(
                $step['key'], $level[$step['key']], $keep['genes'],
                $isLast ? 'the target' : "keep {$keep['count']} ".($keep['sex'] ?? 'of either sex'), $isLast ? 'target' : 'young',
                "{$step['probability']} per egg, from {$page->year($step['season'])}", $this->made($step), $keep['genes'],
            );
            foreach (['sire', 'dam'] as $role) {
                $this->join($step['from'][$role] ?? "{$role} {$step[$role]}", $step['key'], 3 + 15 * (float) $step['decimal'], false);
            }
        }
        foreach ($origins as $founder => [$clutch, $young]) {
            $id = "clutch {$clutch->id}";
            $this->place(
                $id, -1, $clutch->title(), ($clutch->eggs_good ?? '?').' eggs, '.($clutch->hatched ?? '?').' hatched', 'past',
                'kept '.$young,
            );
            $this->join($id, $founder, 3 + (float) min(12, (int) $clutch->hatched), true);
        }
    }

    /** @return list<Node> */
    public function nodes(): array
    {
        return array_values($this->nodes);
    }

    public function width(): float
    {
        return self::COLUMN * (1 + max(array_keys($this->rows) ?: [0])) + 10;
    }

    public function height(): float
    {
        return self::ROW * (1 + max($this->rows ?: [0])) + 12;
    }

    private function place(
        string $id, int $column, string $title, string $text, string $kind, string $note, ?string $done = null, string $genes = '',
        string $animal = '',
    ): void {
        if (isset($this->nodes[$id])) {
            return;
        }
        $at = $column + $this->shift;
        $this->rows[$at] = ($this->rows[$at] ?? -1) + 1;
        $this->nodes[$id] = [
            'x' => 10.0 + $at * self::COLUMN, 'y' => 12.0 + $this->rows[$at] * self::ROW,
            'title' => TextFit::lines($title, self::NODE_WIDTH - 24, 13.5, 2), 'full' => "{$title}; {$text}; {$note}",
            'text' => TextFit::lines($text, self::NODE_WIDTH - 22, 12, 1)[0] ?? '', 'kind' => $kind,
            'note' => TextFit::lines($note, self::NODE_WIDTH - 22, 12, 1)[0] ?? '', 'done' => $done, 'genes' => $genes, 'animal' => $animal,
        ];
    }

    private function join(string $from, string $to, float $wide, bool $isPast): void
    {
        $half = self::NODE_HEIGHT / 2;
        $this->lines[] = [
            'from' => [$this->nodes[$from]['x'] + self::NODE_WIDTH, $this->nodes[$from]['y'] + $half],
            'to' => [$this->nodes[$to]['x'], $this->nodes[$to]['y'] + $half], 'wide' => round($wide, 1), 'isPast' => $isPast,
        ];
    }

    /** @return array<string, array{Clutch, string}> the recorded clutch that a founder's node came from, and who was kept of it */
    private function origins(): array
    {
        $origins = [];
        foreach ($this->route['steps'] as $step) {
            foreach (['sire', 'dam'] as $role) {
                foreach ($step['from'][$role] === null ? $this->page->animalsOf($step[$role]) : [] as $animal) {
                    foreach ($this->clutches as $clutch) {
                        if ($clutch->hatchlings->contains('id', $animal)) {
                            $origins["{$role} {$step[$role]}"] ??= [
                                $clutch, $clutch->hatchlings->map(fn (Animal $young): string => $young->name)->implode(', '),
                            ];
                        }
                    }
                }
            }
        }

        return $origins;
    }

    /**
     * What came of a cross that was made already, in words.
     *
     * @param  array<string, mixed>  $step
     */
    private function made(array $step): ?string
    {
        [$sires, $dams] = [$this->page->animalsOf($step['sire']), $this->page->animalsOf($step['dam'])];
        $eggs = $hatched = 0;
        $years = [];
        foreach ($this->clutches as $clutch) {
            if (
                in_array($clutch->dam_id, $dams, true)
                && $clutch->sires->contains(fn (ClutchSire $sire): bool => in_array($sire->animal_id, $sires, true))
            ) {
                $years[] = $clutch->season();
                $eggs += (int) $clutch->eggs_good;
                $hatched += (int) $clutch->hatched;
            }
        }

        return $years === [] ? null : 'made '.implode(', ', array_unique($years)).": {$eggs} eggs, {$hatched} hatched";
    }
}
