<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * Spaces of genotypes of a family that say something of each other and are worked out together: where a form hides others,
 * where one of several males is the sire at all of them, where an egg died of one form or of another, where one eye saw several.
 */
final readonly class Bundles
{
    /**
     * @param list<list<GenotypeSpace>> $all
     * @param array<string, string> $parts by space: which of them are one even where it is known who the sires are, and what was seen
     */
    private function __construct(public array $all, public Hiding $hiding, private Penetrances $penetrances, private array $parts) {}

    /** @param list<GenotypeSpace> $spaces of which anything is recorded in the family */
    public static function of(Context $context, Hypothesis $hypothesis, array $spaces): self
    {
        $hiding = Hiding::in($context, $hypothesis, $spaces);
        $name = [];
        foreach ($spaces as $space) {
            $name[$space->key] = $space->key;
        }
        foreach ($hiding->ties as [$key, $loci]) {
            $others = array_filter(
                $spaces, static fn (GenotypeSpace $space): bool => $loci === [] || array_intersect($space->loci(), $loci) !== [],
            );
            $name = self::tied($name, [$key, ...array_values(array_map(static fn (GenotypeSpace $space): string => $space->key, $others))]);
        }
        foreach (self::deaths($context, $hypothesis, $spaces) as $keys) {
            $name = self::tied($name, $keys);
        }
        $penetrances = Penetrances::in($context, $hypothesis, $spaces, $hiding);
        foreach ($penetrances->sets as $keys) {
            $name = self::tied($name, $keys);
        }
        $parts = $name;
        foreach ($penetrances->ties as $keys) {
            $name = self::tied($name, $keys);
        }
        foreach ([...$hypothesis->family->members, ...$hypothesis->family->eggs] as $member) {
            if (count($member->sires) > 1 || $hypothesis->otherSires !== []) {
                $name = self::tied($name, array_keys($name));
                break;
            }
        }
        $bundles = [];
        foreach ($spaces as $space) {
            $bundles[$name[$space->key]][] = $space;
        }

        return new self(array_values($bundles), $hiding, $penetrances, $parts);
    }

    /**
     * What is possible in a family at spaces that are worked out together.
     *
     * @param list<GenotypeSpace> $bundle
     */
    public function model(Context $context, Hypothesis $hypothesis, array $bundle): FamilyModel
    {
        $model = Modelling::of($context, $hypothesis, $bundle, $this->hiding->from($bundle), $this->penetrances->from($bundle));
        $places = [];
        foreach ($bundle as $i => $space) {
            $places[$this->parts[$space->key] ?? $space->key][] = $i;
        }
        if (count($places) > 1 && $hypothesis->otherSires === [] && ! $model->isMixed()) {
            foreach ($places as $part) {
                $own = array_map(static fn (int $i): GenotypeSpace => $bundle[$i], $part);
                $model->parts[] = $model->part($part, $this->hiding->from($own));
            }
        }

        return $model;
    }

    /**
     * All that the answer at such spaces follows from.
     *
     * @param list<GenotypeSpace> $bundle
     */
    public function content(FamilyContent $content, array $bundle): string
    {
        return $content->text($bundle, $this->hiding->from($bundle), $this->penetrances->from($bundle));
    }

    /** @return list<GenotypeSpace>|null those that are worked out together with the space of this key */
    public function holding(string $key): ?array
    {
        foreach ($this->all as $bundle) {
            foreach ($bundle as $space) {
                if ($space->key === $key) {
                    return $bundle;
                }
            }
        }

        return null;
    }

    /**
     * @param array<string, string> $name of its bundle, by space
     * @param list<string> $keys of spaces that go together
     * @return array<string, string>
     */
    private static function tied(array $name, array $keys): array
    {
        $names = array_values(array_intersect_key($name, array_flip($keys)));

        return array_map(static fn (string $one): string => in_array($one, $names, true) ? $names[0] : $one, $name);
    }

    /**
     * @param list<GenotypeSpace> $spaces
     * @return list<non-empty-list<string>> spaces at which eggs that were found dead may have died of their form
     */
    private static function deaths(Context $context, Hypothesis $hypothesis, array $spaces): array
    {
        $ties = [];
        $models = [];
        foreach ($hypothesis->family->eggs as $eggs) {
            if (! ($eggs->brood->isDead ?? false)) {
                continue;
            }
            $keys = [];
            foreach ($spaces as $space) {
                $model = $models[$space->key] ??= Modelling::of($context, $hypothesis, [$space]);
                if ($model->offender === null && EggEvidence::dieAt($model, $eggs, 0)) {
                    $keys[] = $space->key;
                }
            }
            if (count($keys) > 1) {
                $ties[] = $keys;
            }
        }

        return $ties;
    }
}
