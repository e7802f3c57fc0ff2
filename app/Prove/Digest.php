<?php

declare(strict_types=1);

namespace App\Prove;

use App\Collection\Beliefs;
use App\Models\User;
use Destino\Inference\Descent\Reason;
use Illuminate\Support\Facades\DB;

/** What is believed otherwise than when the keeper last looked, and why. */
class Digest
{
    public function __construct(private readonly User $keeper, private readonly Beliefs $beliefs) {}

    /** @return list<array{id: int, name: string, before: string|null, after: string, why: string}>|null null where nobody has looked yet */
    public function changes(): ?array
    {
        $last = DB::table('digests')->where('user_id', $this->keeper->id)->latest('id')->first();
        if ($last === null) {
            return null;
        }
        $before = (array) json_decode($last->texts, true);
        $changes = [];
        foreach ($this->animals() as $id => $name) {
            $after = $this->beliefs->text($id);
            if (($before[$id] ?? null) !== $after) {
                $changes[] = [
                    'id' => $id, 'name' => $name, 'before' => $before[$id] ?? null, 'after' => $after,
                    'why' => isset($before[$id]) ? $this->why($id) : 'new',
                ];
            }
        }

        return $changes;
    }

    public function lastRead(): ?string
    {
        $last = DB::table('digests')->where('user_id', $this->keeper->id)->latest('id')->first();

        return $last === null ? null : \Illuminate\Support\Carbon::parse($last->created_at)->format('j M Y, H:i');
    }

    /** From now on changes are told against what is believed now. */
    public function read(): void
    {
        $texts = array_map(
            fn (int $id): string => $this->beliefs->text($id),
            array_combine(array_keys($this->animals()), array_keys($this->animals())),
        );
        DB::transaction(function () use ($texts): void {
            DB::table('digests')->where('user_id', $this->keeper->id)->delete();
            DB::table('digests')->insert([
                'user_id' => $this->keeper->id, 'texts' => json_encode($texts), 'created_at' => now(), 'updated_at' => now(),
            ]);
        });
    }

    private function why(int $id): string
    {
        $by = [];
        foreach ($this->beliefs->why($id)['reasons'] as $steps) {
            $by[$steps[count($steps) - 1][0]] = true;
        }

        return isset($by[Reason::RELATIVES])
            ? 'what young or other relatives showed'
            : (isset($by[Reason::PARENTS]) && count($by) === 1 ? 'what is believed of the parents' : 'what was stated');
    }

    /** @return array<int, string> */
    private function animals(): array
    {
        return $this->keeper->animals()->orderBy('name')->pluck('name', 'id')->all();
    }
}
