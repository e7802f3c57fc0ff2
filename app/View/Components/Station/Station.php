<?php

declare(strict_types=1);

namespace App\View\Components\Station;

use App\Guide\Chapter;
use App\Models\User;
use App\People\OutboxOwner;
use App\View\Components\Part\Part;

/**
 * The frame of a page: the way between the stations, its title, what was just said. A page in focus has no bar on a phone, so that
 * nothing is hit by mistake with a snake in one hand.
 */
class Station extends Part
{
    /** Stations that stand in the bar of a phone; the others are behind "More". */
    private const FIRST = 4;

    public readonly ?Chapter $chapter;

    public function __construct(
        public readonly string $title,
        public readonly string $station = '',
        public readonly ?string $crumb = null,
        public readonly ?string $crumbLink = null,
        public readonly bool $focus = false,
    ) {
        $this->chapter = $station === '' || $station === 'guide' ? null : Chapter::of($station, request()->path());
    }

    /** @return list<array{string, string, string, string}> key, name, icon and address */
    public function stations(): array
    {
        return [
            ['today', 'Today', 'sunrise', route('today')], ['animals', 'Animals', 'collection', route('animals.index')],
            ['pair', 'Pair', 'grid-3x3', route('pair')], ['season', 'Season', 'egg', route('clutches.index')],
            ['projects', 'Projects', 'signpost-split', route('projects.index')], ['prove', 'Prove', 'search', route('prove')],
            ['genes', 'Genes', 'book', route('genes.index')], ['house', 'House', 'house', route('house.index')],
            ['guide', 'Guide', 'question-circle', route('guide')],
        ];
    }

    public function isFirst(int $place): bool
    {
        return $place < self::FIRST;
    }

    /** @return list<array{string, string, string, string}> */
    public function further(): array
    {
        return array_slice($this->stations(), self::FIRST);
    }

    /** Whose entries wait on the device where this page is open. */
    public function owner(): string
    {
        $person = request()->user();

        return $person instanceof User ? OutboxOwner::of($person) : '';
    }

    public function isFurther(): bool
    {
        return in_array($this->station, array_column($this->further(), 0), true);
    }
}
