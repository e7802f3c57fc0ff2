<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Words\OddsWords;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Identification\Stage;

/**
 * What a hatchling is by now, in a keeper's words: what shows and what is carried unseen are never mixed, what is under one in a hundred
 * is left out, and what nobody tells apart at its age is one thing.
 *
 * @phpstan-type Told array{text: string, share: float}
 */
final readonly class KnownSoFar
{
    /** A gene is sure from here on, and out of the question below. */
    public const SURE = .95;

    private const OUT = .06;

    private const TOLD = .01;

    /** Names that a card has room for. */
    private const NAMED = 4;

    /** @var list<Told> what shows, the likeliest first */
    public array $visual;

    /** @var list<Told> hets, the likeliest first */
    public array $hets;

    /** @param list<array{form: Form, decimal: float}> $forms P(form), the wild type left out */
    public function __construct(array $forms, Catalogue $catalogue, ?int $days)
    {
        $seen = $unseen = [];
        foreach ($forms as ['form' => $form, 'decimal' => $share]) {
            if ($form->shows === []) {
                $unseen[] = ['form' => $form, 'share' => $share];
            } else { // of copies that look the same, one copy and two, it is the look that counts
                $look = "{$form->locus}:{$form->look}";
                $before = $seen[$look] ?? ['form' => $form, 'share' => 0.0];
                $seen[$look] = ['form' => $before['form']->isTwoCopies() ? $form : $before['form'], 'share' => $before['share'] + $share];
            }
        }
        $isTold = static fn (array $one): bool => $one['share'] >= self::TOLD;
        [$seen, $unseen] = [array_values(array_filter($seen, $isTold)), array_values(array_filter($unseen, $isTold))];
        $this->visual = self::ordered(self::alike($seen, $catalogue, Stage::at($days)));
        $this->hets = self::ordered(array_map(self::told(...), $unseen));
    }

    /** @return list<array{form: Form, decimal: float}> */
    public static function formsOf(Belief $belief, Catalogue $catalogue): array
    {
        $forms = [];
        foreach ($belief->groups() as $key) {
            foreach (array_diff($catalogue->groups[$key]->loci, [Sex::LOCUS]) as $locus) {
                foreach ($belief->marginalAt($locus, $catalogue->groups[$key])->entries() as [$pair, $chance]) {
                    $form = $catalogue->form($locus, ...$pair);
                    $form->isWild() ?: $forms[] = ['form' => $form, 'decimal' => $chance->toFloat()];
                }
            }
        }

        return $forms;
    }

    /**
     * Forms of a locus that look the same at this age, of which none is sure, together under all their names.
     *
     * @param list<array{form: Form, share: float}> $seen
     * @return list<Told>
     */
    private static function alike(array $seen, Catalogue $catalogue, Stage $stage): array
    {
        $told = [];
        foreach ($catalogue->lookAlikes as $set) {
            $own = $stage->has($set) ? array_filter(
                $seen, static fn (array $one): bool => $set->includes($one['form']) && self::isOpen($one['share']),
            ) : [];
            if (count($own) > 1 && count(array_unique(array_map(static fn (array $one): string => $one['form']->locus, $own))) === 1) {
                $told[] = [
                    'text' => implode(' or ', array_map(static fn (array $one): string => $one['form']->text, $own)),
                    'share' => array_sum(array_column($own, 'share')),
                ];
                $seen = array_diff_key($seen, $own);
            }
        }

        return [...$told, ...array_map(self::told(...), array_values($seen))];
    }

    private static function isOpen(float $share): bool
    {
        return $share >= self::OUT && $share < self::SURE;
    }

    /**
     * @param array{form: Form, share: float} $one
     * @return Told
     */
    private static function told(array $one): array
    {
        return ['text' => $one['form']->text, 'share' => $one['share']];
    }

    /**
     * @param list<Told> $told
     * @return list<Told>
     */
    private static function ordered(array $told): array
    {
        usort($told, static fn (array $a, array $b): int => [$b['share'], $a['text']] <=> [$a['share'], $b['text']]);

        return $told;
    }

    /** Its likeliest look by name. */
    public function name(): string
    {
        $names = array_column(array_filter($this->visual, static fn (array $one): bool => $one['share'] > .501), 'text');

        return match (true) {
            $names !== [] => implode(' ', $names),
            $this->open() !== [] => 'Still open',
            default => 'Normal',
        };
    }

    /** Whether every gene that shows is sure or out of the question. A label for sale asks for more. */
    public function isSure(): bool
    {
        return $this->open() === [];
    }

    /** How many of the genes that may show are decided, as a share. */
    public function done(): float
    {
        return $this->visual === [] ? 1.0 : 1 - count($this->open()) / count($this->visual);
    }

    /** @return list<string> genes that may show and are not sure, with their chances */
    public function open(): array
    {
        return self::words(array_filter($this->visual, static fn (array $one): bool => self::isOpen($one['share'])));
    }

    /** What may show, by name: a few of it, where there is much. */
    public function mayShow(): string
    {
        $names = array_column($this->visual, 'text');
        $more = count($names) - self::NAMED;

        return implode(', ', array_slice($names, 0, self::NAMED)).($more > 0 ? " and {$more} more" : '');
    }

    /** @return list<string> all that may show, with its chance */
    public function shown(): array
    {
        return self::words($this->visual);
    }

    /** @return list<string> what may be carried unseen */
    public function carried(): array
    {
        return self::words($this->hets);
    }

    /**
     * @param array<int, Told> $told
     * @return list<string>
     */
    private static function words(array $told): array
    {
        return array_values(array_map(static fn (array $one): string => "{$one['text']} ".OddsWords::sure($one['share']), $told));
    }
}
