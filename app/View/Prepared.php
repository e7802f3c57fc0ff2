<?php

declare(strict_types=1);

namespace App\View;

use App\Backup\Vault;
use App\Catalogue\GenePage;
use App\Catalogue\GeneSigns;
use App\Catalogue\GeneStrip;
use App\Clutch\Bench;
use App\Clutch\ClutchPage;
use App\Clutch\EggLine;
use App\Clutch\EggTray;
use App\Clutch\StillToCome;
use App\Collection\AnimalCard;
use App\Drawing\Bead;
use App\Exchange\Errors\ExchangeError;
use App\Exchange\ImportPlan;
use App\Health\Malformed;
use App\Health\PatternWords;
use App\House\House;
use App\Http\Requests\SaleRequest;
use App\Incubation\Chart;
use App\Incubation\Warmths;
use App\Looks\Confusions;
use App\Looks\Gallery;
use App\Looks\OwnEyes;
use App\Looks\Prints;
use App\Luck\LuckPage;
use App\Luck\OwnLuck;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\CareKind;
use App\Models\Enums\EventKind;
use App\Models\Import;
use App\Models\Incubator;
use App\Models\OddTrait;
use App\Models\Project;
use App\Models\Rack;
use App\Money\Book;
use App\Pairing\Inquiry;
use App\Pairing\OutcomeRow;
use App\Pairing\PairPage;
use App\Papers\SaleList;
use App\Projects\ProjectPage;
use App\Projects\SeasonReckoning;
use App\Prove\ContradictionDesk;
use App\Prove\Design;
use App\Prove\Digest;
use App\Prove\Question;
use App\Prove\TraitPage;
use App\Season\TodayPage;
use App\View\Components\RackLine\RackLine;
use Closure;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Claim;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use Destino\Genome\Locus;
use Destino\Genome\LookAlike;
use Destino\Identification\Reading\EyeFit;
use Destino\Inference\Family\Penetrances;
use Destino\Probability\Rational;
use Destino\Season\Warmth;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;

/**
 * What a page works with beside what its controller gives it: asked once, so that no template reckons. Each takes from the
 * page's data what it names, and gives variables.
 */
final class Prepared
{
    /** Cues of a gene that are shown at once. */
    private const SIGNS = 7;

    /** @return array<string, Closure(mixed...): array<string, mixed>> by view */
    public static function all(): array
    {
        return self::ofAnimals() + self::ofSeason() + self::ofPairing() + self::ofProof() + self::ofProjects() + self::ofHouse()
            + self::ofGenes();
    }

    /** @return array<string, Closure> */
    private static function ofAnimals(): array
    {
        return [
            'animals.index' => fn (): array => ['may' => Gate::allows('log'), 'offered' => SaleList::OFFERED],
            'animals.form' => fn (Animal $animal): array => ['isNew' => ! $animal->exists],
            'animals.round' => fn (CareKind $kind): array => ['isWeight' => $kind === CareKind::Weight],
            'animals.show' => fn (Animal $animal, \App\Animals\AnimalPage $page, Gallery $gallery): array => [
                'card' => $page->card, 'log' => $page->log, 'family' => $page->family, 'may' => Gate::allows('manage', $animal),
                'mayLog' => Gate::allows('log', $animal), 'seesMoney' => Gate::allows('money', $animal),
                'sale' => Gate::allows('money', $animal) ? $animal->sale : null, 'photos' => $page->photos(),
                'look' => $gallery->ofBelief($page->card->belief(), $page->card->days(), $animal->id),
                'reasons' => $page->reasonings()->reasons(), 'clutches' => $page->clutches(),
                    'inbreeding' => $page->family->inbreeding($animal),
                'mates' => $page->candidates()->of($page->sexOfMates()), 'own' => $animal->isMale() ? 'sire_id' : 'dam_id',
                    'other' => $animal->isMale() ? 'dam_id' : 'sire_id',
                'mostGenotypes' => Penetrances::MOST,
                'saleStatus' => in_array($animal->status(), SaleRequest::STATUSES, true) ? $animal->status()->value : 'for sale',
                'typed' => fn (?int $minor): string =>
                    $minor === null ? '' : number_format($minor / 100, $minor % 100 === 0 ? 0 : 2, '.', ''),
            ],
            'animals.care' => fn (\App\Animals\AnimalPage $page): array => [
                'readiness' => $page->readiness, 'chart' => $page->log->chart(), 'points' => $page->log->chart()?->points() ?? [],
            ],
            'papers.opinion-body' => fn (\App\Papers\SecondOpinion $of): array => ['card' => $of->page->card],
            'young.index' => fn (): array => ['may' => Gate::allows('manage'), 'seesMoney' => Gate::allows('money')],
            'money.index' => fn (Book $book): array => ['own' => $book->ownSales()],
        ];
    }

    /** @return array<string, Closure> */
    private static function ofSeason(): array
    {
        return [
            'season.today' => fn (TodayPage $page): array => [
                'may' => Gate::allows('log'), 'today' => $page->today, 'week' => $page->week(), 'ribbon' => $page->ribbon(),
                'line' => fn (Clutch $clutch): EggLine => new EggLine($clutch),
            ],
            'season.board' => fn (): array => ['may' => Gate::allows('log'), 'introduced' => EventKind::Introduced],
            'season.reckoning' => fn (SeasonReckoning $page): array => [
                'eggs' => $page->eggs(), 'sexes' => $page->sexes(), 'all' => $page->inAll(),
            ],
            'clutches.show' => fn (Clutch $clutch, ClutchPage $page, Prints $prints): array => [
                'drawn' => function (Animal $animal) use ($page, $prints): string {
                    $card = $page->cardOf($animal);

                    return $card === null ? '' : $prints->ofBelief($card->belief(), $card->days(), $animal->id);
                },
                'mayLog' => Gate::allows('log', $clutch), 'malformed' => $page->malformed(), 'pattern' => self::pattern($page->malformed()),
                'worth' => Gate::allows('money') ? $page->worth() : null,
            ],
            'clutches.index' => fn (): array => ['line' => fn (Clutch $clutch): EggLine => new EggLine($clutch)],
            'clutches.form' => fn (Clutch $clutch, array $chosen): array => [
                'isNew' => ! $clutch->exists, 'chosen' => array_map(strval(...), (array) old('sires', $chosen)),
            ],
            'clutches.eggs' => fn (Clutch $clutch, EggTray $tray): array => ['may' => Gate::allows('log', $clutch), 'egg' => $tray->inHand],
            'clutches.still' => fn (StillToCome $still): array => ['left' => $still->left(), 'so' => $still->soFar()],
            'clutches.bench' => fn (Clutch $clutch, Bench $bench): array => [
                'may' => Gate::allows('log', $clutch), 'rows' => $bench->rows(), 'opinions' => $bench->allOpinions(),
            ],
            'incubators.show' => fn (Incubator $incubator, House $house): array => [
                'may' => Gate::allows('log', $incubator), 'unit' => $house->simple('temperature') === 'C' ? '°C' : '°F',
                'spans' => array_keys(Chart::SPANS), 'standard' => $house->temperature(Warmth::STANDARD),
                'eggs' => $incubator->clutches->reject(fn (Clutch $clutch): bool => $clutch->isOut())
                    ->map(fn (Clutch $clutch): array => [$clutch, Warmths::of($clutch, now())])->values(),
            ],
        ];
    }

    /** @return array<string, Closure> */
    private static function ofPairing(): array
    {
        return [
            'pair.answer' => fn (PairPage $page, array $parents, House $house, Gallery $gallery, ?Malformed $malformed): array => [
                'question' => $page->prediction->question, 'pattern' => self::pattern($malformed),
                'readiness' => array_map(fn (AnimalCard $parent): array => [$parent, $parent->readiness($house)], $parents),
                'looks' => array_map(
                    fn (OutcomeRow $row): array => [$row, $gallery->ofForms($row->outcome->forms)], $page->looks(),
                ),
            ],
            'pair.assumptions' => fn (PairPage $page, House $house): array => [
                'assumptions' => $page->prediction->assumptions(), 'survival' => $page->prediction->cross->survival(),
                'claims' => array_map(fn (Claim $claim): array => [
                    $claim, $page->prediction->assumptions()->schools[$claim->key], $house->schools()[$claim->key] ?? $claim->default,
                ], $page->claims()),
            ],
            'pair.rows' => fn (PairPage $page): array => [
                'hasSex' => array_filter($page->rows, fn (OutcomeRow $row): bool => $row->outcome->sex !== null) !== [],
                'hasTarget' => $page->prediction->target !== null,
            ],
            'pair.sheet' => fn (PairPage $page): array => ['chance' => $page->prediction->target?->chance],
            'pair.verdict' => fn (PairPage $page, Inquiry $inquiry): array => [
                'verdict' => $page->verdict, 'both' => $inquiry->sireAnimal !== null && $inquiry->damAnimal !== null,
            ],
            'luck.own' => fn (OwnLuck $own): array => ['choices' => $own->choices(), 'all' => $own->together()],
            'luck.show' => fn (LuckPage $page, OwnLuck $own): array => [
                'alternatives' => $page->alternatives(), 'calm' => $page->calm(), 'choices' => $own->choices(),
            ],
        ];
    }

    /** @return array<string, Closure> */
    private static function ofProof(): array
    {
        return [
            'prove.index' => fn (ContradictionDesk $desk, Digest $digest): array => [
                'open' => $desk->open(), 'unlikely' => $desk->unlikely(), 'decided' => $desk->decided(), 'changes' => $digest->changes(),
            ],
            'prove.design' => fn (Design $design, Question $question): array => [
                'mates' => $design->mates(), 'sons' => $design->sons(), 'answers' => $question->answers(),
            ],
            'prove.trait' => fn (OddTrait $trait, TraitPage $page): array => [
                'history' => $page->history(), 'next' => $page->nextCrosses(), 'may' => Gate::allows('manage', $trait),
            ],
        ];
    }

    /** @return array<string, Closure> */
    private static function ofProjects(): array
    {
        return [
            'projects.form' => fn (Project $project): array => ['isNew' => ! $project->exists],
            'projects.story' => fn (ProjectPage $page): array => ['clutches' => $page->clutches()],
            'projects.show' => fn (ProjectPage $page): array => [
                'plan' => $page->plan, 'routes' => $page->routes(), 'chart' => $page->chart(), 'seesMoney' => Gate::allows('money'),
                'money' => Gate::allows('money') ? $page->chart()->money() : ['most' => 0, 'curves' => []],
                'clutches' => $page->clutches(), 'earlier' => $page->notes()->earlier(), 'luck' => $page->luck(), 'now' => $page->now(),
                'folds' => $page->folds(), 'path' => $page->path(),
            ],
        ];
    }

    /** @return array<string, Closure> */
    private static function ofHouse(): array
    {
        return [
            'house.show' => fn (): array => ['may' => Gate::allows('manage')],
            'exchange.preview' => fn (?ImportPlan $plan, ?array $archive, int $animals): array => [
                'counts' => $plan?->counts(), 'shown' => $plan?->shown(), 'document' => $archive[0] ?? null, 'photos' => $archive[1] ?? [],
                'refusal' => ExchangeError::notEmpty($animals)->getMessage(),
            ],
            'exchange.receipt' => fn (Import $import): array => [
                'receipt' => $import->receipt ?? [], 'count' => count($import->animals),
            ],
            'racks.index' => fn (Collection $racks): array => [
                'isOfRack' => $racks->contains(fn (Rack $rack): bool => RackLine::bagOf($rack)->isNotEmpty()),
            ],
            'exchange.backups' => fn (): array => ['keep' => Vault::KEEP, 'months' => Vault::MONTHS],
            'guide.prove' => fn (): array => ['before' => Rational::of(2, 3)],
            'guide.pair' => fn (): array => ['sire' => 'Pastel 66% het Clown', 'dam' => 'Enchi het Clown', 'target' => 'Clown'],
            'guide.hatch' => fn (): array => ['warmth' => Warmth::over([], 58, 30.5)],
        ];
    }

    /** @return array<string, Closure> */
    private static function ofGenes(): array
    {
        return [
            'genes.index' => fn (Catalogue $catalogue): array => [
                'bead' => self::beads($catalogue),
                'shown' => fn (Allele $allele): Form => $allele->inheritance === Inheritance::Recessive
                    ? $catalogue->twoCopies($allele) : $catalogue->oneCopy($allele),
            ],
            'genes.show' => fn (GenePage $page, GeneSigns $signs): array => [
                'strip' => (new GeneStrip($page, $signs))->pictures(), 'own' => $signs->isDescribed($page->allele) ? $signs->of($page->allele) : [],
                'lessSure' => $signs->lessSure($page->allele), 'ages' => $signs->ages($page->allele),
                'together' => $signs->together($page->allele), 'first' => self::SIGNS,
                'isDescribed' => $signs->isDescribed($page->allele),
                'apart' => fn (LookAlike $set): string => $signs->wordsOn($set, $page->allele),
                'allele' => $page->allele, 'catalogue' => $page->catalogue, 'two' => $page->twoCopies,
                    'bead' => self::beads($page->catalogue),
            ],
            'genes.complex' => fn (Catalogue $catalogue, Locus $locus): array => [
                'bead' => self::beads($catalogue), 'rows' => self::pairs($catalogue, $locus),
            ],
            'looks.confusions' => fn (Confusions $page): array => [
                'pairs' => $page->pairs(), 'masks' => $page->masks(), 'enough' => EyeFit::ENOUGH, 'shares' => OwnEyes::shares(...),
            ],
            'train.show' => fn (?array $state, ?array $last): array => [
                'at' => $state['at'] ?? 0, 'count' => count($state['items'] ?? []), 'answered' => $last[0] ?? null,
                'isRight' => $last !== null && $last[1] === $last[0]->answer,
            ],
        ];
    }

    private static function pattern(?Malformed $malformed): string
    {
        return $malformed === null ? '' : PatternWords::of($malformed->pattern());
    }

    /** @return Closure(Form): Bead */
    private static function beads(Catalogue $catalogue): Closure
    {
        return fn (Form $form): Bead => Bead::ofForm($form, $catalogue);
    }

    /** @return array<string, list<Form|null>> the pairs of alleles of a locus, each once; by the first */
    private static function pairs(Catalogue $catalogue, Locus $locus): array
    {
        $rows = [];
        foreach ($locus->alleles as $i => $a) {
            foreach ($locus->alleles as $k => $b) {
                $rows[$a][] = $k < $i ? null : $catalogue->form($locus->key, $a, $b);
            }
        }

        return $rows;
    }
}
