<?php

declare(strict_types=1);

namespace App\Collection;

/**
 * Whether a page waits for what follows from the last change, or shows what was known before it: in a large collection, where a
 * worker is at it, and no longer than a worker takes. If none comes, the page works it out itself.
 */
final class Patience
{
    /** Smaller collections take no time that anybody would notice. */
    public const FROM = 100;

    private const SECONDS = 30;

    private bool $isBehind = false;

    /** @param bool $isShort whether this page may show what was known */
    public function __construct(private readonly Kept $kept, private readonly int $keeper, private bool $isShort) {}

    /** Asked where something is not worked out yet: whether to go on with what was known. */
    public function isOver(): bool
    {
        if (! $this->isShort || $this->isBehind) {
            return $this->isShort;
        }
        $since = $this->kept->get("behind:{$this->keeper}");
        if (! is_int($since)) {
            $this->kept->put("behind:{$this->keeper}", now()->getTimestamp());
        }

        return $this->isBehind = $this->isShort = ! is_int($since) || now()->getTimestamp() - $since <= self::SECONDS;
    }

    /** Something that was known is not to be had after all: from here on this page waits. */
    public function waits(): void
    {
        $this->isShort = false;
    }

    /** Whether this page shows what was known before the last change. */
    public function isBehind(): bool
    {
        return $this->isBehind;
    }

    /** Everything is worked out. */
    public function end(): void
    {
        $this->kept->forget("behind:{$this->keeper}");
    }
}
