<?php

declare(strict_types=1);

namespace App\Projects;

use App\Models\Project;
use Destino\DestinoError;
use Destino\Genome\Sex;
use Illuminate\Http\Request;

/** "What would this animal be worth to me?", asked of the projects page. */
class WorthQuestion
{
    private const LONGEST = 400;

    private const SEED = 1;

    public readonly string $genes;

    public readonly Sex $sex;

    /** Age in months; null: grown. */
    public readonly ?int $months;

    private ?string $error = null;

    public function __construct(Request $request)
    {
        $text = fn (string $name): string => is_string($request->query($name)) ? trim($request->query($name)) : '';
        $this->genes = $text('genes');
        $this->sex = Sex::tryFrom($text('sex')) ?? Sex::Female;
        $this->months = ctype_digit($text('months')) && strlen($text('months')) < 4 ? (int) $text('months') : null;
        $this->error = match (true) {
            mb_strlen($this->genes) > self::LONGEST => 'Write the genes in at most '.self::LONGEST.' characters.',
            ! in_array($text('sex'), ['', 'male', 'female'], true) => 'Choose male or female.',
            $text('months') !== '' && $this->months === null => 'Give the age as whole months, or leave it empty for a grown animal.',
            default => null,
        };
    }

    public function isAsked(): bool
    {
        return $this->genes !== '';
    }

    public function error(): ?string
    {
        return $this->error;
    }

    /**
     * @param  list<Project>  $projects
     * @return list<array{project: Project, says: string, worth: float}> what it would add to each project, the most first
     */
    public function answers(array $projects, Workshop $workshop): array
    {
        $answers = [];
        foreach ($this->isAsked() && $this->error === null ? $projects : [] as $project) {
            if ($project->made()->policy === null && $project->made()->unreachable() === null) {
                continue; // has it already, or its target cannot be read: its own page says so
            }
            try {
                $answer = $workshop->appraisal()->ofOne(
                    $workshop->project($project), $this->genes, $this->sex, $this->months, self::SEED,
                    $project->made()->first,
                );
            } catch (DestinoError $error) {
                $this->error = $error->getMessage();

                return [];
            }
            $year = (new ProjectPage($project, $workshop))->year($project->horizon);
            $answers[] = [
                'project' => $project, 'worth' => ($answer['worth'] + .05 * $answer['sooner']) * $project->weight,
                'says' => WorthWords::gain($answer, $year),
            ];
        }
        usort($answers, fn (array $a, array $b): int => $b['worth'] <=> $a['worth']);

        return $answers;
    }
}
