<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** Limits of what a keeper puts into a project: young kept at one time, and clutches made in a season. */
final readonly class Effort
{
    /**
     * @param int|null $tubs young kept at one time; null: as many as the project allows
     * @param int|null $clutches matings in a season; null: every one that helps
     */
    public function __construct(public ?int $tubs = null, public ?int $clutches = null) {}

    public function withTubs(?int $tubs): self
    {
        return new self($tubs, $this->clutches);
    }

    public function withClutches(?int $clutches): self
    {
        return new self($this->tubs, $clutches);
    }

    /** @return array{tubs: int|null, clutches: int|null} */
    public function toArray(): array
    {
        return ['tubs' => $this->tubs, 'clutches' => $this->clutches];
    }

    public static function fromArray(mixed $stored): self
    {
        $number = static fn (string $key): ?int => is_array($stored) && is_int($stored[$key] ?? null) && $stored[$key] > 0 ? $stored[$key]
            : null;

        return new self($number('tubs'), $number('clutches'));
    }
}
