<?php

declare(strict_types=1);

namespace Destino\Planning\Given;

/** What counts more to the keeper, and how much he means to give where it is not left to the plan. */
final readonly class Aim
{
    /**
     * @param bool $early whether having it early counts more than having it surely by the horizon
     * @param int|null $tubs young kept at one time; null: as few as come nearly as far
     * @param int|null $clutches in a season; null: as few as come nearly as far
     */
    public function __construct(public bool $early = false, public ?int $tubs = null, public ?int $clutches = null) {}

    /** Of a limit of tubs and what the keeper means to give, the smaller. */
    public function within(?int $tubs): ?int
    {
        return $this->tubs === null ? $tubs : min($this->tubs, $tubs ?? $this->tubs);
    }

    /** @return array{early?: true, tubs?: int, clutches?: int} what differs from leaving it to the plan */
    public function toArray(): array
    {
        return ($this->early ? ['early' => true] : [])
            + ($this->tubs === null ? [] : ['tubs' => $this->tubs])
            + ($this->clutches === null ? [] : ['clutches' => $this->clutches]);
    }

    /** @param array<array-key, mixed> $stored as toArray() gives it */
    public static function fromArray(array $stored): self
    {
        $whole = static fn (mixed $one): ?int => is_int($one) && $one >= 1 ? $one : null;

        return new self(($stored['early'] ?? false) === true, $whole($stored['tubs'] ?? null), $whole($stored['clutches'] ?? null));
    }
}
