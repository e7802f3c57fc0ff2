<?php

declare(strict_types=1);

namespace App\Papers;

use App\Clutch\ClutchPage;
use App\Clutch\LikelyLooks;
use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Looks\Gallery;
use App\Looks\KeptDrawings;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Photo;
use App\Photos\Darkroom;
use App\Words\OddsWords;
use Destino\Appearance\LookFacts;

/**
 * The story of a clutch as one page to send: parents, what could come, what came. No price, no buyer and no note is in it, and no
 * animal that is not of this clutch but its parents.
 *
 * @phpstan-type Portrait array{name: string, facts: string, genes: string, drawing: string, photo: string|null}
 */
final readonly class ClutchStory
{
    private ClutchPage $page;

    private Gallery $gallery;

    private KeptDrawings $drawings;

    public function __construct(public Clutch $clutch, private Opened $opened, private Darkroom $darkroom)
    {
        $this->page = new ClutchPage($clutch, $opened);
        $clutch->load('hatchlings.rack', 'hatchlings.clutch', 'dam.rack', 'sires.animal.rack');
        $this->gallery = new Gallery($opened->shelf);
        $this->drawings = new KeptDrawings($opened->kept);
    }

    /** "Laid on 2 May 2027, hatched on 1 July 2027." */
    public function days(): string
    {
        $said = array_filter([
            $this->clutch->laid_on === null ? null : 'laid on '.$this->clutch->laid_on->format('j F Y'),
            $this->clutch->hatched_on === null ? null : 'hatched on '.$this->clutch->hatched_on->format('j F Y'),
        ]);

        return $said === [] ? '' : ucfirst(implode(', ', $said)).'.';
    }

    /** How the eggs add up: only what is known. */
    public function eggs(): string
    {
        $said = array_filter([
            $this->clutch->eggs_good === null ? null : "{$this->clutch->eggs_good} good eggs",
            $this->clutch->eggs_infertile ? $this->clutch->eggs_infertile.($this->clutch->eggs_infertile === 1 ? ' slug' : ' slugs') : null,
            $this->clutch->hatched === null ? null : "{$this->clutch->hatched} hatched",
        ]);

        return $said === [] ? '' : implode(', ', $said).'.';
    }

    /** @return list<Portrait> the dam, and whoever may be the sire */
    public function parents(): array
    {
        $parents = [$this->portrait($this->clutch->dam, 'dam', LookFacts::ADULT)];
        foreach ($this->clutch->sires as $sire) {
            $role = $this->clutch->sires->count() > 1 ? 'possible sire' : 'sire';
            $parents[] = $sire->animal !== null ? $this->portrait($sire->animal, $role, LookFacts::ADULT)
                : ['name' => $sire->title(), 'facts' => "{$role}, of another collection", 'genes' => '', 'drawing' => '', 'photo' => null];
        }

        return $parents;
    }

    /** @return list<array{text: string, chance: string, drawing: string}> the looks that could come, the likeliest first */
    public function couldCome(): array
    {
        return array_map(fn (array $look): array => [
            'text' => $look['text'], 'chance' => OddsWords::share($look['chance']).' of the hatchlings',
            'drawing' => $this->drawings->alone($this->gallery->ofForms($look['forms'], 0), $look['text'], 'card'),
        ], (new LikelyLooks($this->clutch, $this->opened))->all());
    }

    /** @return list<Portrait> the hatchlings that are animals here */
    public function came(): array
    {
        return array_values($this->clutch->hatchlings->map(
            fn (Animal $animal): array => $this->portrait($animal, $animal->sex->value ?? 'sex not known', null),
        )->all());
    }

    /** @return list<string> hatchlings that were counted and not kept */
    public function counted(): array
    {
        return array_values($this->clutch->counts->map(fn ($count): string => "{$count->count} × {$count->saw}"
            .($count->dead ? ', dead in the egg' : ''))->all());
    }

    /** What the pairing was made for, how likely it was in so many eggs, and how many came of it; empty where nothing can be said. */
    public function luck(): string
    {
        $target = $this->clutch->target === null ? null : $this->page->still->target;
        $odds = $target === null ? [] : $this->page->still->bySire();
        $eggs = $this->clutch->eggs_good ?? 0;
        if ($target === null || count($odds) !== 1 || $odds[0]['egg'] === null) {
            return '';
        }
        $says = "Made for {$this->clutch->target}: ".OddsWords::perEgg($odds[0]['egg'])
            .($odds[0]['clutch'] === null || $eggs === 0 ? '.' : ', at least one in '.$eggs.' eggs with '.OddsWords::percent($odds[0]['clutch']).'.');
        $hits = $this->page->still->soFar()['hits'];

        return $this->clutch->hatched === null ? $says
            : $says.' '.($hits === 0 ? 'None is known to be one.' : ucfirst($hits === 1 ? 'one is' : "{$hits} are").' known to be.');
    }

    /**
     * @param int|null $days age of the drawing; null for its own
     * @return Portrait
     */
    private function portrait(Animal $animal, string $facts, ?int $days): array
    {
        $card = new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue());
        $photo = $animal->photos()->latest('on')->latest('id')->first();

        return [
            'name' => $animal->name, 'facts' => $facts, 'genes' => Label::in($this->opened, $card)->genes,
            'drawing' => $this->drawings->alone($this->gallery->ofBelief($card->belief(), $days ?? $card->days(), $animal->id), $card->genotype(), 'card'),
            'photo' => $photo instanceof Photo && $this->darkroom->has($photo->file)
                ? 'data:image/jpeg;base64,'.base64_encode($this->darkroom->picture($photo->file, $photo->part())) : null,
        ];
    }
}
