<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Database\Snapshot;
use App\Health\BeforeOfPairs;
use App\Models\Clutch;
use App\Models\Plan as PlanRecord;
use App\Models\Project as ProjectRecord;
use App\Pairing\PairingCheck;
use Destino\DestinoError;
use Destino\Documents\PlanDocument;
use Destino\Documents\ProjectDocument;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Stance;
use Destino\Planning\Given\Aim;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project;
use Destino\Planning\Planner;
use Destino\Planning\Policy\Answer;
use Destino\Planning\Policy\Policy;
use Destino\Probability\Rational;
use Illuminate\Support\Facades\DB;

/** Makes plans of a keeper's projects from the collection as it is now. */
class Workshop
{
    private const QUICK_RUNS = 400;

    private const RUNS = 2000;

    private const TRIED_RUNS = 400;

    private const KEPT = 7;

    /** @var array<string, array{share: float, words: string}>|null */
    private ?array $before = null;

    public function __construct(private readonly Opened $opened) {}

    /** @return array<string, array{share: float, words: string}> malformed young of pairs, by "a1 a2" */
    public function before(): array
    {
        return $this->before ??= BeforeOfPairs::of($this->opened);
    }

    /**
     * The project as the core plans it: every animal that is here and may be bred, with what is believed of it.
     *
     * @throws DestinoError when the target cannot be read
     */
    public function project(ProjectRecord $record): Project
    {
        return Snapshot::during(fn (): Project => $this->read($record));
    }

    private function read(ProjectRecord $record): Project
    {
        $founders = (new Founders($this->opened))->of($record);
        $rules = $this->opened->house->breeding();
        $assumptions = PlanAssumptions::of(
            $record->assumptions + [
                'male_months' => $rules->maleMonths, 'female_months' => $rules->femaleMonths, 'male_weight' => $rules->maleGrams,
                'female_weight' => $rules->femaleGrams, 'females_per_male' => $this->opened->house->number('females_per_male'),
            ],
        );
        $aim = Aim::fromArray($record->aim ?? []);
        $forbidden = array_map(fn (array $pair): array => [CoreId::of($pair[0]), CoreId::of($pair[1])], $record->forbidden);

        return new Project(
            $this->opened->shelf->targetsWithChoices()->read($record->target), $founders, $assumptions, $record->horizon,
            $record->budget === null ? null : (float) $record->budget, $record->tubs, $this->mostInbreeding($record),
            Project::number($record->wanted),
            $forbidden, $record->keep, array_map(fn (int $id): string => CoreId::of($id), $record->pinned),
            $this->opened->house->stances($this->opened->shelf->catalogue()), $record->wanted === 'sure',
            sound: array_map(fn (array $one): float => $one['share'], $this->before()), aim: $aim,
        );
    }

    /** The project's own limit, or that of the house where the house refuses closer relatives. */
    private function mostInbreeding(ProjectRecord $record): ?Rational
    {
        if ($record->most_inbreeding !== null) {
            return Rational::parse($record->most_inbreeding);
        }

        return ($this->opened->house->stances($this->opened->shelf->catalogue())[Advice::RELATED] ?? null) === Stance::Refuse
            ? $this->opened->house->relatednessLimit()
            : null;
    }

    /**
     * @param  list<Clutch>  $clutches
     *
     * @throws DestinoError when the target cannot be read
     */
    public function luck(ProjectRecord $record, array $clutches): LuckSoFar
    {
        return new LuckSoFar(
            $this->opened->shelf->targetsWithChoices()->read($record->target), $clutches, $this->opened->beliefs(), $this->opened->shelf,
        );
    }

    /** Why the house rules warn of a pair or refuse it; empty where they do neither. */
    public function warnings(int $sire, int $dam): string
    {
        return PairingCheck::warnings($sire, $dam, $this->opened);
    }

    /** The house's openness to risk: careful, even or bold. */
    public function risk(): string
    {
        return $this->opened->house->simple('risk');
    }

    /**
     * A first answer, at once; the whole one follows as a job.
     *
     * @param  ProjectRecord  $record  with its keeper; it need not be saved yet
     * @return array<string, mixed> what the record of the plan holds
     */
    public function begin(ProjectRecord $record): array
    {
        $project = $this->project($record);
        try {
            $plan = (
                new Planner($this->opened->shelf->catalogue(), $project, (float) config('destino.plan_effort'))
            )->plan(self::QUICK_RUNS, 1, quick: true);
        } catch (DestinoError $error) { // what cannot be planned says so in the place of the plan
            return [
                'state' => 'failed', 'seed' => 1, ...(new PlanInput($this->opened))->madeFrom($project),
                'result' => ['error' => $error->getMessage(), 'names' => $this->names($record)],
            ];
        }

        return [
            'state' => 'waiting', 'seed' => 1, ...(new PlanInput($this->opened))->madeFrom($project),
            'result' => PlanDocument::of($plan) + [
                'names' => $this->names($record), 'sound' => $project->sound, 'possible' => Appraisal::possible($plan->policy),
            ],
        ];
    }

    /**
     * The whole answer, with progress; stops where the record says so. One that follows gives way to one that somebody waits for.
     *
     * @return bool false where it gave way
     */
    public function work(PlanRecord $record): bool
    {
        $limit = (int) ini_get('max_execution_time'); // 0: none, on the command line
        $limit === 0 || set_time_limit(max(900, $limit));
        $project = $this->project($record->project);
        $planner = new Planner($this->opened->shelf->catalogue(), $project, (float) config('destino.plan_effort'));
        $isFollowing = $record->isFollowing();
        $goOn = function (int $done, int $all) use ($record, $isFollowing): bool {
            $isStopped = $this->isStopped($record) || ($isFollowing && $this->isWaitedFor());
            $isStopped || $record->update(
                ['state' => $isFollowing ? PlanRecord::FOLLOWING : 'running', 'progress' => 10 + intdiv(60 * $done, max(1, $all))],
            );

            return ! $isStopped;
        };
        $goOn(0, 1);
        $plan = $planner->plan(self::RUNS, $record->seed, goOn: $goOn);
        $result = PlanDocument::of($plan) + [
            'names' => $this->names($record->project), 'sound' => $project->sound,
            'pairs' => $this->besides()->pairs($planner, $project, $record->project),
        ];
        if ($plan->policy !== null && $goOn(1, 1)) {
            $record->update(['result' => $result + ['possible' => Appraisal::possible($plan->policy)]]); // what is known is shown
            $result = $this->beside($planner->policy(), $plan->policy, $record, $project) + $result;
        }
        if ($this->isStopped($record)) {
            return true;
        }
        if ($isFollowing && $this->isWaitedFor()) {
            return false;
        }
        $result += $isFollowing ? $this->because($record->project, $project) : [];
        $record->update(['state' => 'done', 'progress' => 100, ...(new PlanInput($this->opened))->madeFrom($project), 'result' => $result]);
        $isFollowing && $this->forgetOlder($record->project);

        return true;
    }

    /** @return array<string, mixed> all that stands beside the answer */
    private function beside(Policy $policy, Answer $answer, PlanRecord $record, Project $project): array
    {
        $weighed = ['first' => $policy->first()->toArray()] + $this->besides()->weighed($policy, $answer, $record);
        $record->update(['progress' => 92]);
        $past = (new LookingBack($this->opened))->of($record->project, $project, (float) config('destino.plan_effort'), $record->seed);

        return $this->appraisal()->of($policy, $answer, $record->seed) + ['past' => $past] + $weighed;
    }

    private function isStopped(PlanRecord $record): bool
    {
        return in_array(PlanRecord::query()->whereKey($record->id)->value('state'), ['cancelled', null], true);
    }

    private function isWaitedFor(): bool
    {
        return PlanRecord::query()->where('state', 'waiting')->exists();
    }

    /**
     * What has changed since a plan was made, in words; nothing where it would be made of the same.
     *
     * @return list<string>
     *
     * @throws DestinoError when the target cannot be read
     */
    public function since(PlanRecord $plan, ProjectRecord $record): array
    {
        return $this->changes($plan, $record, $this->project($record));
    }

    /** @return list<string> */
    private function changes(PlanRecord $plan, ProjectRecord $record, Project $now): array
    {
        return match (true) {
            $plan->input === (new PlanInput($this->opened))->of($now) => [],
            $plan->given === null => ['the collection changed'],
            default => PlanChanges::between($plan->given, ProjectDocument::of($now), $this->names($record) + $plan->made()->names),
        };
    }

    /** @return array{because?: list<string>, before?: string} why a plan was updated, and what the one before it said */
    private function because(ProjectRecord $record, Project $project): array
    {
        $before = $record->load('latestPlan')->latestPlan;
        $changes = $before === null ? [] : $this->changes($before, $record, $project);

        return $changes === [] ? [] : ['because' => $changes, 'before' => (new ProjectPage($record, $this))->answer()];
    }

    /** Of updated plans the last few are enough to look back at. */
    private function forgetOlder(ProjectRecord $record): void
    {
        $older = $record->plans()->where('state', 'done')->latest('id')->skip(self::KEPT)->take(100)->get()
            ->filter(fn (PlanRecord $plan): bool => $plan->made()->because !== []);
        PlanRecord::query()->whereKey($older->modelKeys())->delete();
    }

    /**
     * Why not this pair: what making it this season would do to the chance, kept with the plan.
     *
     * @throws DestinoError when the target cannot be read
     */
    public function tryPair(ProjectRecord $record, PlanRecord $plan, int $sire, int $dam): void
    {
        $project = $this->project($record);
        $policy = (new Policy($this->opened->shelf->catalogue(), $project, null, (float) config('destino.plan_effort')))
            ->beginning($plan->made()->first);
        $bought = array_column($plan->made()->policy['now']['buy'] ?? [], 'id');
        $offers = array_values(array_filter($project->founders, fn (Founder $one): bool => in_array($one->id, $bought, true)));
        $figures = $policy->gainOf(CoreId::of($sire), CoreId::of($dam), $offers, self::TRIED_RUNS, $plan->seed);
        DB::transaction(function () use ($plan, $sire, $dam, $figures): void {
            $tried = array_filter($plan->refresh()->made()->tried,
                fn (array $one): bool => [$one['sire'], $one['dam']] !== [CoreId::of($sire), CoreId::of($dam)]);
            $tried = [
                ['sire' => CoreId::of($sire), 'dam' => CoreId::of($dam)] + WorthWords::figures(...$figures), ...array_slice($tried, 0, 5),
            ];
            $plan->update(['result' => ['tried' => $tried] + ($plan->result ?? [])]);
        });
    }

    private function besides(): BesidesThePlan
    {
        return new BesidesThePlan($this->opened, $this->project(...));
    }

    public function appraisal(): Appraisal
    {
        return new Appraisal($this->opened->shelf, (float) config('destino.plan_effort'));
    }

    /** @return array<string, string> names of the animals by the core's id */
    private function names(ProjectRecord $record): array
    {
        $names = [];
        foreach ($record->keeper->animals()->toBase()->get(['id', 'name']) as $animal) {
            $names[CoreId::of($animal->id)] = $animal->name;
        }

        return $names;
    }
}
