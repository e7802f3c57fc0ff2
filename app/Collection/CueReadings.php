<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use Destino\DestinoError;
use Destino\Identification\CueChances;
use Destino\Identification\CuePenetrance;
use Destino\Identification\CuesRead;
use Destino\Identification\Eye;
use Destino\Identification\LookPenetrance;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Penetrance;
use Destino\Inference\Evidence\Resemblance;
use Destino\Probability\Rational;

/** What was seen on the bench as evidence of the family: cues that were read at an animal, and siblings that are alike in something. */
final class CueReadings
{
    private readonly Eye $eye;

    private ?CueChances $chances = null;

    public function __construct(private readonly Records $records, private readonly CatalogueShelf $shelf)
    {
        $this->eye = new Eye($shelf->catalogue());
    }

    /**
     * @param array<string, Individual> $individuals
     * @param list<int> $clutches that are left out, their young's cues with them
     * @return array<string, Individual> the same with what was seen of each
     */
    public function of(array $individuals, array $clutches): array
    {
        $likenesses = $this->likenesses($clutches);
        foreach ($individuals as $id => $one) {
            $number = (int) CoreId::animal($id);
            $isLeftOut = in_array($this->records->animals[$number]['clutch_id'], $clutches, true);
            $read = $isLeftOut ? [] : $this->read($this->records->sightings[$number] ?? []);
            if ($read !== [] || isset($likenesses[$number])) {
                $individuals[$id] = $one->seenSo($read, $likenesses[$number] ?? []);
            }
        }

        return $individuals;
    }

    /**
     * @param array<string, array{string, int|null}> $sightings state and days by cue
     * @return list<Penetrance> of those that the catalogue still has
     */
    private function read(array $sightings): array
    {
        $read = [];
        foreach ($sightings as $key => [$state, $days]) {
            $cue = $this->shelf->cues()[$key] ?? null;
            $number = $cue?->find($state);
            if ($cue !== null && $number !== null) {
                $read[$key] = ['cue' => $cue, 'state' => $number, 'days' => $days];
            }
        }

        if ($read === []) {
            return []; // most animals: the looks need not be there for them
        }
        $this->chances ??= new CueChances($this->shelf->catalogue(), $this->shelf->looks());

        return CuesRead::observed($this->chances, $read, Rational::of(1, CuePenetrance::MISREAD));
    }

    /**
     * @param list<int> $clutches
     * @return array<int, list<Resemblance>> by animal, of those that are still siblings
     */
    private function likenesses(array $clutches): array
    {
        $all = [];
        foreach ($this->records->alike as $set) {
            $siblings = array_filter(
                $set['animals'], fn (int $id): bool => ($this->records->animals[$id]['clutch_id'] ?? null) === $set['clutch'],
            );
            if (in_array($set['clutch'], $clutches, true) || count($siblings) < 2) {
                continue;
            }
            try {
                $shows = new LookPenetrance($this->eye, $this->shelf->targets()->read($set['target']));
            } catch (DestinoError) {
                continue; // a name that the catalogue no longer has: the bench says so
            }
            foreach ($siblings as $id) {
                $all[$id][] = new Resemblance("alike {$set['id']}", $shows);
            }
        }

        return $all;
    }
}
