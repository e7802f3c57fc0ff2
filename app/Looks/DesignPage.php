<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\Opened;
use App\Models\Animal;
use Destino\Appearance\Design;
use Destino\Appearance\Look;
use Destino\Appearance\Proposal;
use Destino\Appearance\Wish;
use Destino\Appearance\WishedFor;
use Destino\DestinoError;
use Destino\Genome\Form;
use Illuminate\Http\Request;

/** Wishes for a base, and the genes that would bring them. */
class DesignPage
{
    private const MOST = 14;

    private const OWNERS = 5;

    public readonly string $base;

    /** @var array<string, WishedFor> */
    public readonly array $wishes;

    public readonly ?string $error;

    public readonly ?Look $look;

    /** @var list<Proposal> */
    public readonly array $proposals;

    public function __construct(Request $request, private readonly Gallery $gallery, private readonly Opened $opened)
    {
        $this->base = is_string($request->query('base')) ? mb_substr(trim($request->query('base')), 0, 300) : '';
        $wishes = [];
        foreach (is_array($request->query('wish')) ? $request->query('wish') : [] as $key => $wanted) {
            $wanted = is_string($wanted) ? WishedFor::tryFrom($wanted) : null;
            if ($wanted !== null && isset(Wish::all()[$key])) {
                $wishes[(string) $key] = $wanted;
            }
        }
        $this->wishes = $wishes;
        $look = $error = null;
        $proposals = [];
        try {
            $forms = $this->base === '' ? [] : $gallery->formsOf($gallery->belief($this->base));
            $look = $gallery->ofForms($forms);
            $proposals = $wishes === []
                ? []
                : (new Design($gallery->catalogue(), $gallery->facts(), $wishes))->proposals($forms, 3 * self::MOST);
        } catch (DestinoError $fault) {
            $error = $fault->getMessage();
        }
        [$this->look, $this->error] = [$look, $error];
        usort($proposals, fn (Proposal $a, Proposal $b): int => $this->standing($b) <=> $this->standing($a));
        $this->proposals = array_slice($proposals, 0, self::MOST);
    }

    /** @return array{bool, int, float} whether it brings anything; what is here before what is on offer before the rest; the score */
    private function standing(Proposal $proposal): array
    {
        $at = match (true) {
            $this->owners($proposal) !== [] => 2,
            $this->isOffered($proposal) => 1,
            default => 0,
        };

        return [$proposal->score > 0, $at, $proposal->score];
    }

    /** @var array<string, true>|null alleles that animals on offer in a project carry */
    private ?array $offered = null;

    /** Whether all of it is on offer in one of the projects. */
    private function isOffered(Proposal $proposal): bool
    {
        $this->offered ??= $this->offeredAlleles();

        return array_filter($proposal->forms, fn (Form $form): bool => ! isset($this->offered[$form->pair[0]])) === [];
    }

    /** @return array<string, true> */
    private function offeredAlleles(): array
    {
        $alleles = [];
        foreach ($this->opened->keeper()->projects()->get() as $project) {
            foreach ($project->offers as $offer) {
                try {
                    $forms = $this->gallery->formsOf($this->gallery->belief($offer['genes']));
                } catch (DestinoError) {
                    continue; // the project says that it cannot be read
                }
                foreach ($forms as $form) {
                    $alleles += array_fill_keys($form->pair, true);
                }
            }
        }

        return $alleles;
    }

    /** What to say of the wishes as a whole. */
    public function verdict(): string
    {
        $best = $this->proposals[0] ?? null;

        return match (true) {
            $this->contradiction() !== null => $this->contradiction(),
            $best === null => 'Nothing can be added to this base.',
            $best->score <= 0 => 'Nothing that can be added brings what you wish without taking more away. The nearest:',
            $best->spoils !== [] => 'No gene brings all of it. The nearest, with what each spoils:',
            default => 'What you have first, then what is on offer in a project, then the rest; each drawn on your base.',
        };
    }

    /** Two wishes that pull the same thing both ways. */
    private function contradiction(): ?string
    {
        $all = Wish::all();
        foreach ($this->wishes as $one => $wantedOne) {
            foreach ($this->wishes as $other => $wantedOther) {
                foreach ($one < $other ? array_intersect_key($all[$one]->axes, $all[$other]->axes) : [] as $axis => $weight) {
                    $pull = fn (WishedFor $wanted, float $by): float => match ($wanted) {
                    WishedFor::More => $by, WishedFor::Less => -$by, WishedFor::Keep => 0.0,
                    };
                    [$a, $b] = [$pull($wantedOne, $weight), $pull($wantedOther, $all[$other]->axes[$axis])];
                    if ($a * $b < 0 && min(abs($a), abs($b)) >= .5) {
                        return "“{$wantedOne->value} {$all[$one]->words}” and “{$wantedOther->value} {$all[$other]->words}” pull against "
                            .'each other. The nearest to both:';
                    }
                }
            }
        }

        return null;
    }

    /** The whole genotype, to aim a project at. */
    public function target(Proposal $proposal): string
    {
        return trim("{$this->base} {$proposal->text()}");
    }

    /** @var array<string, list<string>> */
    private array $owners = [];

    public function ownersWords(Proposal $proposal): string
    {
        $owners = $this->owners($proposal);

        return match (true) {
            $owners !== [] => 'You have: '.implode(', ', $owners).'.',
            $this->isOffered($proposal) => 'Nobody here carries it; it is on offer in a project.',
            default => 'You have no animal with it.',
        };
    }

    /** @return list<string> animals that carry what a proposal adds, with how sure that is */
    public function owners(Proposal $proposal): array
    {
        return $this->owners[$proposal->text()] ??= $this->ownersOf($proposal);
    }

    /** @return list<string> */
    private function ownersOf(Proposal $proposal): array
    {
        $beliefs = $this->opened->beliefs();
        $found = [];
        foreach ($this->animals() as $animal) {
            foreach ($proposal->forms as $form) {
                $chance = $this->chance($beliefs->belief($animal->id), $form);
                if ($chance > .005) {
                    $found[] = [$chance, $animal->name.($chance < .995 ? ' ('.round(100 * $chance).' %)' : '')];
                }
            }
        }
        usort($found, fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $names = array_values(array_unique(array_column($found, 1)));

        return count($names) > self::OWNERS ? [...array_slice($names, 0, self::OWNERS), (count($names) - self::OWNERS).' more'] : $names;
    }

    /** @var list<Animal>|null */
    private ?array $animals = null;

    /** @return list<Animal> */
    private function animals(): array
    {
        return $this->animals ??= array_values(
            $this->opened->keeper()->animals()->orderBy('name')->get(['id', 'user_id', 'name', 'sex'])->all(),
        );
    }

    private function chance(\Destino\Genome\Belief $belief, Form $form): float
    {
        $group = $this->gallery->catalogue()->groupOf($form->locus);
        $chance = 0.0;
        foreach (in_array($group->key, $belief->groups(), true) ? $belief->marginalAt($form->locus, $group)->entries()
            : [] as [$pair, $p]) {
            $chance += in_array($form->pair[0], $pair, true) ? $p->toFloat() : 0.0;
        }

        return $chance;
    }
}
