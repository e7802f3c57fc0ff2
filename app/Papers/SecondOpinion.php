<?php

declare(strict_types=1);

namespace App\Papers;

use App\Animals\AnimalPage;
use App\Clutch\Bench;
use App\Collection\Opened;
use App\Looks\Gallery;
use App\Looks\KeptDrawings;
use App\Models\Animal;
use App\Models\Photo;
use App\Photos\Darkroom;
use Destino\Appearance\LookFacts;

/**
 * One page about an animal to be sent to somebody who knows: pictures, parents, what was seen and what is open. It stands
 * alone, without this house, and holds nothing of prices, buyers or notes.
 */
class SecondOpinion
{
    /** The newest photographs that go with it. */
    private const PHOTOS = 3;

    public readonly AnimalPage $page;

    public readonly ?Bench $bench;

    public function __construct(
        public readonly Animal $animal,
        public readonly string $question,
        private readonly Opened $opened,
        private readonly Darkroom $darkroom,
    ) {
        $this->page = new AnimalPage($animal, $opened);
        $this->bench = $animal->clutch === null ? null : new Bench($animal->clutch, $opened);
    }

    /** @return list<array{source: string, words: string}> photographs as data */
    public function photos(): array
    {
        $photos = [];
        foreach ($this->animal->photos()->latest('on')->latest('id')->limit(self::PHOTOS)->get() as $photo) {
            /** @var Photo $photo */
            if ($this->darkroom->has($photo->file)) {
                $photos[] = [
                    'source' => 'data:image/jpeg;base64,'.base64_encode($this->darkroom->picture($photo->file, $photo->part())),
                    'words' => trim($photo->on->format('j F Y').': '.(string) $photo->caption, ': '),
                ];
            }
        }

        return $photos;
    }

    public function drawing(): string
    {
        $card = $this->page->card;

        return $this->drawings()->alone($this->gallery()->ofBelief($card->belief(), $card->days(), $this->animal->id), $card->genotype());
    }

    /** @return list<array{role: string, name: string, genes: string, drawing: string|null}> */
    public function parents(): array
    {
        $parents = [];
        foreach (['sire', 'dam'] as $role) {
            $id = $this->animal->{"{$role}_id"};
            $parent = $id === null ? null : Animal::query()->find($id);
            if ($parent !== null) {
                $card = $this->page->cardOf($parent);
                $look = $this->gallery()->ofBelief($card->belief(), LookFacts::ADULT, $parent->id);
                $parents[] = [
                    'role' => $role, 'name' => $parent->name, 'genes' => $card->genotype(),
                        'drawing' => $this->drawings()->alone($look, $card->genotype(), 'card'),
                ];
            } elseif ($this->animal->{"{$role}_name"} !== null) {
                $parents[] = ['role' => $role, 'name' => $this->animal->{"{$role}_name"}, 'genes' => 'of another collection',
                    'drawing' => null];
            }
        }
        $sires = $this->bench === null || $this->animal->sire_id !== null ? [] : $this->bench->sires();
        foreach (count($sires) > 1 ? $sires : [] as $sire) {
            $parents[] = ['role' => 'possible sire', 'name' => $sire['name'], 'genes' => round(100 * $sire['share']).' %',
                'drawing' => null];
        }

        return $parents;
    }

    /** @return list<array{cue: string, where: string, seen: string, who: string|null}> what was seen, by whom */
    public function seen(): array
    {
        $cues = $this->opened->shelf->cues();
        $seen = [];
        foreach ($this->animal->sightings()->orderBy('id')->get() as $one) {
            $cue = $cues[$one->cue] ?? null;
            $seen["{$one->cue} {$one->who}"] = [
                'cue' => $cue->name ?? $one->cue, 'where' => $cue->where ?? '', 'seen' => $cue?->shown($one->state) ?? $one->state, 'who' => $one->who,
            ];
        }

        return array_values($seen);
    }

    /** @return list<array{name: string, share: float}> genes of which it is open whether it has them, from the bench */
    public function odds(): array
    {
        $odds = [];
        foreach ($this->bench?->genes() ?? [] as $row) {
            $share = $row['shares'][$this->animal->id] ?? null;
            if ($share !== null) {
                $odds[] = ['name' => $row['name'], 'share' => $share];
            }
        }

        return $odds;
    }

    /** @return list<array{cue: string, states: list<string>, separates: string}> what would tell most, to be looked at */
    public function toLookAt(): array
    {
        $rows = [];
        foreach ($this->bench?->rows() ?? [] as $row) {
            if (($row['tells'][$this->animal->id] ?? 0.0) > 0.0 && ($row['seen'][$this->animal->id] ?? null) === null) {
                $rows[] = ['cue' => $row['cue']->name, 'states' => $row['cue']->states, 'separates' => $row['separates']];
            }
        }

        return array_slice($rows, 0, 6);
    }

    private function drawings(): KeptDrawings
    {
        return new KeptDrawings($this->opened->kept);
    }

    private function gallery(): Gallery
    {
        return new Gallery($this->opened->shelf);
    }
}
