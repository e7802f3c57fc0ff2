<?php

declare(strict_types=1);

namespace App\Pairing;

use Illuminate\Contracts\Session\Session;

/** The pairings that were looked at last, in this sitting: to go back to one without typing it anew. */
class Lately
{
    private const MOST = 5;

    private const PLACE = 'pairings.lately';

    public function __construct(private readonly Session $session) {}

    public function note(Inquiry $inquiry, PairPage $page): void
    {
        $words = "{$inquiry->called('sire')} × {$inquiry->called('dam')}".($inquiry->target === '' ? '' : ", wanted {$inquiry->target}");
        $said = $page->targetSentence() === '' ? $page->headline() : $page->targetSentence();
        $before = array_filter($this->all(), fn (array $one): bool => $one['words'] !== $words);
        $this->session->put(
            self::PLACE,
            array_slice([['query' => $inquiry->query(), 'words' => $words, 'said' => $said], ...array_values($before)], 0, self::MOST),
        );
    }

    /** @return list<array{query: array<string, mixed>, words: string, said: string}> the last first */
    public function all(): array
    {
        $all = $this->session->get(self::PLACE, []);

        return is_array($all) ? array_values($all) : [];
    }
}
