<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** Names of young in a run: who the parents are, in which season, at which place of the clutch. */
final class Young
{
    public static function name(string $sire, string $dam, int $season, int $place): string
    {
        return "({$sire}×{$dam}:{$season}.{$place})";
    }

    /** @return array{string|null, string|null} sire and dam of a young; null of what is no young */
    public static function parentsOf(string $name): array
    {
        if (! str_starts_with($name, '(')) {
            return [null, null];
        }
        $depth = 0;
        foreach (mb_str_split(mb_substr($name, 1, -1)) as $i => $letter) {
            $depth += $letter === '(' ? 1 : ($letter === ')' ? -1 : 0);
            if ($letter === '×' && $depth === 0) {
                $dam = mb_substr($name, $i + 2, -1);

                return [mb_substr($name, 1, $i), mb_substr($dam, 0, (int) mb_strrpos($dam, ':'))];
            }
        }

        return [null, null];
    }
}
