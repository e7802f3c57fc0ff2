<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Family\Relatedness;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\EventKind;
use App\Models\Project;
use App\Pairing\PairingCheck;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;

/**
 * What stands on the board of a pairing: how far it is, what it may give, who is not ready and why.
 *
 * @phpstan-import-type Place from Board
 */
class Placing
{
    /** @var array<int, AnimalCard> of those who stand on the board, by id */
    private array $cards = [];

    public function __construct(private readonly Opened $opened) {}

    /**
     * Looks up at once what is asked of each of those who stand on the board.
     *
     * @param list<Animal> $animals
     */
    public function prepare(array $animals): void
    {
        foreach ($animals as $animal) {
            $this->cards[$animal->id] = $this->card($animal);
        }
        AnimalCard::weighAll(array_values($this->cards));
    }

    /**
     * @param list<Animal> $animals
     * @return list<Animal> those that are ready
     */
    public function ready(array $animals): array
    {
        $cards = array_map($this->card(...), $animals);
        AnimalCard::weigh($cards);
        $ready = array_filter($cards, fn (AnimalCard $card): bool => $card->readiness($this->opened->house)->isReady === true);

        return array_values(array_map(fn (AnimalCard $card): Animal => $card->animal, $ready));
    }

    private function card(Animal $animal): AnimalCard
    {
        return new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue());
    }

    /** @return Place */
    public function place(Animal $sire, Animal $dam, ?Clutch $clutch, ?Project $project): array
    {
        $hope = $clutch->target ?? $project?->target;
        [$egg, $gives] = $this->gives($sire, $dam, $hope);
        $ready = array_map(fn (Animal $animal): array => $this->readiness($animal), [$sire, $dam]);
        $related = Relatedness::of($this->opened->family(), $sire, $dam, $this->opened->house->relatednessLimit());

        return [
            'dam' => $dam, 'clutch' => $clutch, 'stage' => self::stage($clutch), 'hope' => $hope, 'egg' => $egg, 'gives' => $gives,
            'ready' => array_merge($ready[0]['reasons'], $ready[1]['reasons']), 'isReady' => $ready[0]['isReady'] && $ready[1]['isReady'],
            'related' => $related->coefficient->isZero() ? '' : 'F '.OddsWords::fraction($related->coefficient),
            'stance' => PairingCheck::of($sire, $dam, $this->opened)->stance,
        ];
    }

    private static function stage(?Clutch $clutch): string
    {
        return match (true) {
            $clutch === null => 'suggested',
            $clutch->event(EventKind::Ovulation) !== null => 'gravid',
            $clutch->event(EventKind::Lock) !== null => 'locked',
            $clutch->event(EventKind::Introduced) !== null => 'paired',
            default => 'planned',
        };
    }

    /** @return array{Rational|null, string} chance of an egg, and a sentence */
    private function gives(Animal $sire, Animal $dam, ?string $hope): array
    {
        if ($hope === null) {
            return [null, 'No target'];
        }
        try {
            $beliefs = $this->opened->beliefs();
            $cross = Cross::of($this->opened->shelf->catalogue(), $beliefs->belief($sire->id), $beliefs->belief($dam->id));
            $egg = TargetOdds::of($cross, $this->opened->shelf->targetsWithChoices()->read($hope))->chance->perEgg();

            return [$egg, $egg->isZero() ? "makes breeders for the next step toward {$hope}" : $hope];
        } catch (DestinoError $error) {
            return [null, $error->getMessage()];
        }
    }

    /** @return array{reasons: list<string>, isReady: bool} */
    private function readiness(Animal $animal): array
    {
        $readiness = ($this->cards[$animal->id] ?? $this->card($animal))->readiness($this->opened->house);
        $likely = $readiness->likely === null ? '' : ' Likely from '.$readiness->likely->format('F Y').'.';

        return [
            'isReady' => $readiness->isReady === true,
            'reasons' => $readiness->isReady === true ? [] : ["{$animal->name}: ".implode(' ', $readiness->reasons).$likely],
        ];
    }
}
