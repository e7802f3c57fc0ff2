<?php

declare(strict_types=1);

namespace App\View\Components\Shares;

use App\Prove\Question;
use App\View\Components\Part\Part;
use App\Words\OddsWords;

/** P of each answer as one bar of 100 %, with the words below. */
class Shares extends Part
{
    /** Parts smaller than this are not drawn; of those larger than the other it is said in them what they are. */
    private const SEEN = .0005;

    private const READ = .09;

    /** @param array<string, float> $shares by words, in the order to draw */
    public function __construct(public readonly array $shares) {}

    /** @return list<array{words: string, tone: string, width: float, says: string|null}> */
    public function parts(): array
    {
        $parts = [];
        foreach (array_keys($this->shares) as $i => $words) {
            $share = $this->shares[$words];
            if ($share > self::SEEN) {
                $parts[] = [
                    'words' => $words, 'tone' => $words === Question::NOTHING ? 'tone-5' : 'tone-'.$i % 5,
                        'width' => round(100 * $share, 2),
                    'says' => $share > self::READ ? OddsWords::share($share) : null,
                ];
            }
        }

        return $parts;
    }
}
