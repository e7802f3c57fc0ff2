<?php

declare(strict_types=1);

namespace App\Prove;

use App\Collection\Kept;

/** Of which animals somebody waits for the evidence, until a worker has it. */
final readonly class EvidenceAsked
{
    public function __construct(private Kept $kept, private int $keeper) {}

    /** @return list<int> animals */
    public function all(): array
    {
        $asked = $this->kept->get("evidence:{$this->keeper}:asked");

        return is_array($asked) ? array_values(array_filter($asked, is_int(...))) : [];
    }

    public function ask(int $animal): void
    {
        if (! in_array($animal, $this->all(), true)) {
            $this->kept->put("evidence:{$this->keeper}:asked", [...$this->all(), $animal]);
        }
    }

    public function isAnswered(int $animal): void
    {
        if (in_array($animal, $this->all(), true)) {
            $this->kept->put("evidence:{$this->keeper}:asked", array_values(array_diff($this->all(), [$animal])));
        }
    }
}
