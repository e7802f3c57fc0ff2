<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

/**
 * Which pairings to make in a season, out of what several projects wish for: each female has one mate, a male a few
 * females, each wish is granted at most once. Animals are named by id. The weight granted is the greatest there is: a flow
 * from males through wishes to females.
 *
 * @phpstan-type Wish array{sires: list<string>, dams: list<string>, weight: float}
 * @phpstan-type Grant array{wish: int, sire: string, dam: string}
 */
final readonly class SeasonAssignment
{
    /**
     * @param list<Wish> $wishes
     * @param array<string, int> $served females that a male is with already
     */
    public function __construct(private array $wishes, private int $femalesPerMale, private array $served = []) {}

    /** @return list<Grant> by wish, as they were given */
    public function grants(): array
    {
        $flow = new Flow;
        $places = [];
        $place = static function (string $of) use (&$places): int {
            return $places[$of] ??= count($places);
        };
        [$source, $sink] = [$place('source'), $place('sink')];
        $males = $females = $sireArcs = $damArcs = [];
        foreach ($this->wishes as $i => $wish) {
            $flow->arc($place("asked {$i}"), $place("granted {$i}"), 1, $wish['weight']);
            foreach ($wish['sires'] as $sire) {
                $males[$sire] ??= $flow->arc($source, $place("male {$sire}"), max(0, $this->femalesPerMale - ($this->served[$sire] ?? 0)));
                $sireArcs[$i][$sire] = $flow->arc($place("male {$sire}"), $place("asked {$i}"), 1);
            }
            foreach ($wish['dams'] as $dam) {
                $females[$dam] ??= $flow->arc($place("female {$dam}"), $sink, 1);
                $damArcs[$i][$dam] = $flow->arc($place("granted {$i}"), $place("female {$dam}"), 1);
            }
        }
        $flow->run($source, $sink);
        $grants = [];
        foreach ($this->wishes as $i => $wish) {
            $sire = self::carrying($flow, $sireArcs[$i] ?? []);
            $dam = self::carrying($flow, $damArcs[$i] ?? []);
            if ($sire !== null && $dam !== null) {
                $grants[] = ['wish' => $i, 'sire' => $sire, 'dam' => $dam];
            }
        }

        return $grants;
    }

    /** @param array<array-key, int> $arcs by animal */
    private static function carrying(Flow $flow, array $arcs): ?string
    {
        foreach ($arcs as $animal => $arc) {
            if ($flow->carried($arc) > 0) {
                return (string) $animal;
            }
        }

        return null;
    }
}
