<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Family\Relatedness;
use App\Models\Animal;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Genome\Sex;
use Destino\Husbandry\Readiness;
use Destino\Notation\Target;
use Destino\Pairing\Advice\Stance;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;

/**
 * With a target and one side empty the question is: who is the best mate? With both empty: which is the best pair?
 *
 * @phpstan-type Mate array{sire: Animal|null, dam: Animal|null, egg: Rational, clutch: Rational,
 *     else: string, readiness: list<string>, isReady: bool, related: string, stance: Stance|null}
 */
class BestMates
{
    private const SHOWN = 25;

    /** @var list<Mate> */
    public readonly array $rows;

    public readonly ?string $error;

    /** How many were looked at. */
    public readonly int $looked;

    /** Pairs that give the target; the best of them are shown. */
    private readonly int $given;

    /** How many there would be to look at. */
    private int $possible = 0;

    private readonly ?Target $target;

    public function __construct(private readonly Inquiry $inquiry, private readonly Opened $opened)
    {
        $rows = [];
        $target = $error = null;
        $looked = 0;
        try {
            $target = $opened->shelf->targetsWithChoices()->read($inquiry->target);
            $fixed = ['sire' => $this->fixed('sire', Sex::Male), 'dam' => $this->fixed('dam', Sex::Female)];
            $candidates = new MateCandidates($inquiry, $opened);
            [$sires, $dams] = $candidates->candidates($target, $fixed);
            $this->possible = $candidates->possible;
            $looked = count($sires) * count($dams);
            foreach ($sires as [$sire, $male]) {
                foreach ($dams as [$dam, $female]) {
                    $row = $this->row($target, $sire, $male, $dam, $female);
                    $row === null ?: $rows[] = $row;
                }
            }
        } catch (DestinoError $fault) {
            $error = $fault->getMessage();
        }
        $name = fn (array $row): array => [$row['sire']->name ?? '', $row['dam']->name ?? ''];
        usort($rows, fn (array $a, array $b): int => $b['egg']->compareTo($a['egg'])
            ?: [$b['isReady'], $name($a)] <=> [$a['isReady'], $name($b)]);
        [$this->rows, $this->given] = [array_slice($rows, 0, self::SHOWN), count($rows)];
        [$this->error, $this->looked, $this->target] = [$error, $looked, $target];
    }

    /** Whether the form asks for a mate. */
    public static function isAsked(Inquiry $inquiry): bool
    {
        $isOpen = fn (string $text, ?Animal $animal): bool => trim($text) === '' && $animal === null;

        return trim($inquiry->target) !== '' && $inquiry->errors === []
            && ($isOpen($inquiry->sire, $inquiry->sireAnimal) || $isOpen($inquiry->dam, $inquiry->damAnimal));
    }

    public function headline(): string
    {
        $wanted = $this->target->text ?? $this->inquiry->target;
        $name = $this->inquiry->sireAnimal->name ?? $this->inquiry->damAnimal?->name;

        return match (true) {
            $this->rows === [] && $this->looked === 0 => 'No animal of the other sex is available. Add one, or type a genotype.',
            $this->rows === [] => "None of your animals can make {$wanted} in one clutch".($name === null ? '.' : " with {$name}.")
                .' A project finds ways over several generations.',
            $name !== null => "The best mates for {$name} toward {$wanted}",
            $this->inquiry->sire.$this->inquiry->dam !== '' => "The best mates toward {$wanted}",
            default => "The best pairs for {$wanted}",
        };
    }

    /** What was looked at, and what was left out. */
    public function scope(): string
    {
        $count = fn (int $number): string => number_format($number).($number === 1 ? ' pairing' : ' pairings');
        $looked = $this->looked < $this->possible
            ? 'the '.MateCandidates::CROSSED." of each sex that carry most of it were crossed: {$count($this->looked)} of ".number_format($this->possible)
            : "{$count($this->looked)} checked";
        $shown = $this->given > count($this->rows)
            ? ', '.number_format($this->given).' give it, the best '.count($this->rows).' are shown'
            : '';

        return "{$looked}{$shown}. Not included: sold or dead animals, and animals whose genes could not be read";
    }

    /** @throws DestinoError when what was typed cannot be read */
    private function fixed(string $role, Sex $sex): ?Belief
    {
        $text = $role === 'sire' ? $this->inquiry->sire : $this->inquiry->dam;
        $animal = $role === 'sire' ? $this->inquiry->sireAnimal : $this->inquiry->damAnimal;

        return $this->inquiry->asRecorded($role) ?? (trim($text) === ''
            ? ($animal === null ? null : $this->opened->beliefs()->belief($animal->id))
            : $this->opened->shelf->reader()->read($text, $sex)->beliefOrFail());
    }

    /** @return Mate|null null where the pair cannot give the target */
    private function row(Target $target, ?Animal $sire, Belief $male, ?Animal $dam, Belief $female): ?array
    {
        if ($sire !== null && $dam !== null && $sire->id === $dam->id) {
            return null;
        }
        $chance = TargetOdds::of(Cross::of($this->opened->shelf->catalogue(), $male, $female), $target)->chance;
        if ($chance->perEgg()->isZero()) {
            return null;
        }
        $words = [];
        $isReady = true;
        $asked = [$this->inquiry->sireAnimal === null ? $sire : null, $this->inquiry->damAnimal === null ? $dam : null];
        foreach (array_filter($asked) as $animal) {
            $readiness = $this->readiness($animal);
            $isReady = $isReady && $readiness->isReady === true && $animal->latestWeight !== null;
            $words[] = (count(array_filter($asked)) > 1 ? "{$animal->name}: " : '').rtrim($this->readyWords($animal, $readiness), '.');
        }
        $areHere = $sire !== null && $dam !== null;

        return [
            'sire' => $sire, 'dam' => $dam, 'egg' => $chance->perEgg(),
            'clutch' => $chance->atLeastOne((int) $this->inquiry->eggs),
            'else' => implode(' × ',
                array_map(fn (Animal $animal): string => $this->opened->beliefs()->text($animal->id), array_filter($asked))),
            'readiness' => $words, 'isReady' => $isReady,
            'related' => $areHere ? $this->related($sire, $dam) : '',
            'stance' => $areHere ? PairingCheck::of($sire, $dam, $this->opened)->stance : null,
        ];
    }

    private function related(Animal $sire, Animal $dam): string
    {
        $limit = $this->opened->house->relatednessLimit();

        return OddsWords::fraction(Relatedness::of($this->opened->family(), $sire, $dam, $limit)->coefficient);
    }

    private function readyWords(Animal $animal, Readiness $readiness): string
    {
        return match (true) {
            $readiness->isReady !== false && $animal->latestWeight === null => 'weigh first',
            $readiness->isReady === true => implode('. ', ['ready', ...$readiness->reasons]),
            default => implode(' ', $readiness->reasons).($readiness->likely ? ' Likely from '.$readiness->likely->format('F Y').'.' : ''),
        };
    }

    private function readiness(Animal $animal): Readiness
    {
        $animal->loadMissing('latestWeight', 'latestStatus', 'care');

        return (new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue()))->readiness($this->opened->house);
    }
}
