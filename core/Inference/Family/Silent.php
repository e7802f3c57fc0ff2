<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

/** Which members of a family are silent at a space: nothing of theirs tells of others. */
final readonly class Silent
{
    /** @return list<string> as "space member", parents before their young */
    public static function of(FamilyModel $model): array
    {
        $silent = [];
        $canHide = array_filter($model->spaces, static fn ($space): bool => $space->canHide()) !== [];
        foreach (array_keys($model->spaces) as $i) {
            $speaks = [];
            foreach ($model->hypothesis->family->eggs as $eggs) {
                if (
                    ! $model->hypothesis->frees($eggs->id, $model->spaces[$i])
                    && ($model->spaces[$i]->canHide() || (new EggEvidence($model, $eggs))->speaksOf($i))
                ) {
                    $speaks += array_fill_keys($eggs->parents(), true);
                }
            }
            $own = [];
            foreach (array_reverse($model->hypothesis->family->members) as $id => $member) {
                $isHeard = $member->animal !== null && ($member->animal->saw !== null || $member->animal->testimonies !== []);
                $isPlain = ! $member->isFounder()
                    && count($model->domains[$i][$id]) > 1
                    && ! isset($speaks[$id])
                    && ! isset($model->trimmed[$i][$id])
                    && ! ($canHide && $isHeard)
                    && ! $model->isSeen($id, $i);
                foreach ($isPlain ? $model->domains[$i][$id] : [] as $weight) {
                    $isPlain = $isPlain && $weight->isOne();
                }
                if ($isPlain) {
                    $own[] = "{$i} {$id}";
                } else {
                    $speaks += array_fill_keys($member->parents(), true);
                }
            }
            $silent = [...$silent, ...array_reverse($own)];
        }

        return $silent;
    }

    /**
     * @param list<string> $silent
     * @return list<string> young of one sire side by side, since they tie him to their dams together
     */
    public static function bySire(FamilyModel $model, array $silent): array
    {
        $sires = [];
        foreach ($silent as $name) {
            $member = $model->hypothesis->family->members[explode(' ', $name, 2)[1]];
            $sires[$name] = "{$member->sires[0]} {$member->dam}";
        }
        asort($sires);

        return array_keys($sires);
    }

    /**
     * @param list<string> $silent
     * @param non-empty-list<string> $wanted
     * @return string the wanted one with the most silent ancestors
     */
    public static function deepest(FamilyModel $model, array $silent, array $wanted): string
    {
        $deepest = $wanted[0];
        $most = -1;
        foreach ($wanted as $name) {
            $count = count(self::withAncestors($model, $silent, [$name]));
            if ($count > $most) {
                [$deepest, $most] = [$name, $count];
            }
        }

        return $deepest;
    }

    /**
     * @param list<string> $silent
     * @param list<string> $wanted
     * @return list<string> those that are wanted, and the silent ones that they descend from
     */
    public static function withAncestors(FamilyModel $model, array $silent, array $wanted): array
    {
        $all = array_fill_keys($silent, true);
        $needed = [];
        while ($wanted !== []) {
            $name = array_pop($wanted);
            if (! isset($all[$name]) || isset($needed[$name])) {
                continue;
            }
            $needed[$name] = true;
            [$space, $id] = explode(' ', $name, 2);
            foreach ($model->hypothesis->family->members[$id]->parents() as $parent) {
                $wanted[] = "{$space} {$parent}";
            }
        }

        return array_keys($needed);
    }
}
