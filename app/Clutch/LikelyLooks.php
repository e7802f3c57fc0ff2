<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Opened;
use App\Models\Clutch;
use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Pairing\BlockOutcome;
use Destino\Pairing\Cross;
use Destino\Pairing\Looks;
use Destino\Pairing\Outcome;
use Destino\Pairing\SpaceItem;

/**
 * What the young of a clutch most likely look like, as they come out of the egg: look-alikes are one look under both names.
 *
 * @phpstan-type LikelyLook array{text: string, chance: float, forms: array<string, Form>}
 */
final readonly class LikelyLooks
{
    /** Looks to choose from with a thumb. */
    private const MOST = 8;

    /** Outcomes of a cross that are gone through. */
    private const OF_A_CROSS = 24;

    public function __construct(private Clutch $clutch, private Opened $opened) {}

    /** @return list<LikelyLook> the likeliest first, over all possible sires alike; none where too much is open */
    public function all(): array
    {
        $sires = $this->clutch->loadMissing('dam', 'sires.animal')->sires->whereNotNull('animal_id');
        $looks = [];
        foreach ($sires as $sire) {
            $beliefs = $this->opened->beliefs();
            foreach ($this->ofCross($beliefs->belief((int) $sire->animal_id), $beliefs->belief($this->clutch->dam_id)) as $look) {
                $before = $looks[$look['text']]['chance'] ?? 0.0;
                $looks[$look['text']] = ['chance' => $before + $look['chance'] / $sires->count()] + $look;
            }
        }
        $looks = array_filter($looks, fn (array $look): bool => $this->opened->shelf->reader()->read($look['text'], null)->errors === []);
        usort($looks, static fn (array $a, array $b): int => [$b['chance'], $a['text']] <=> [$a['chance'], $b['text']]);

        return array_slice($looks, 0, self::MOST);
    }

    /** @return list<LikelyLook> */
    private function ofCross(Belief $sire, Belief $dam): array
    {
        if ($sire->sex !== Sex::Male || $dam->sex !== Sex::Female) {
            return [];
        }
        try {
            $outcomes = Looks::of(
                Cross::of($this->opened->shelf->catalogue(), $sire, $dam), alike: true, hatched: true,
            )->top(self::OF_A_CROSS);
        } catch (DestinoError) {
            return []; // the page of the pairing says why
        }
        $looks = [];
        foreach ($outcomes as $outcome) {
            $text = $outcome->isLethal ? null : $this->text($outcome);
            if ($text !== null) {
                $looks[] = ['text' => $text, 'chance' => $outcome->probability->toFloat(), 'forms' => $outcome->forms];
            }
        }

        return $looks;
    }

    /** What shows, as a statement says it: "Yellow Belly, Cinnamon or Black Pastel"; null where it cannot be said in one. */
    private function text(Outcome $outcome): ?string
    {
        $parts = [];
        foreach ($outcome->items as $item) {
            $texts = $this->visible($item);
            if (count($texts) > 1 && array_filter($texts, static fn (array $forms): bool => count($forms) !== 1) !== []) {
                return null;
            }
            $parts[] = implode(' or ', array_map(static fn (array $forms): string => implode(' ', $forms), $texts));
        }
        $parts = array_values(array_filter($parts, static fn (string $part): bool => $part !== ''));

        return $parts === [] ? Printer::NORMAL : implode(', ', $parts);
    }

    /** @return list<list<string>> what may show of a block, one for each way; none where some of it may show nothing */
    private function visible(SpaceItem $item): array
    {
        $ways = [];
        foreach ($item->members as $member) {
            $shows = self::shown($member);
            if ($shows === []) {
                return []; // hidden by what masks it, or carried unseen
            }
            $ways[implode(' ', $shows)] = $shows;
        }

        return array_values($ways);
    }

    /** @return list<string> */
    private static function shown(BlockOutcome $member): array
    {
        $forms = array_filter($member->forms, static fn (Form $form): bool => $form->shows !== []);

        return array_values(array_map(static fn (Form $form): string => $form->text, $forms));
    }
}
