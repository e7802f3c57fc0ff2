<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Closure;
use Destino\Genome\Components;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\Scope;
use Destino\Inference\Graph\TooWide;
use Destino\Probability\Rational;

/** The graph of a family at some loci, worked out again and again with other messages. Who tells nothing of others is left out. */
final class Part
{
    public readonly Network $network;

    /** Natural logarithm of P(evidence) with the last messages. */
    public float $logEvidence = 0.0;

    private readonly Order $order;

    /** @var list<string> who only follows from others, as "space member" */
    private readonly array $silent;

    /** @var list<array{Scope, array<int, float>}>|null null where it is too wide and can only be drawn */
    private ?array $prepared;

    /** @var list<Factor> */
    private readonly array $constants;

    /** @var list<array<string, array<int, Rational>>>|null what was drawn, by space and member */
    private ?array $drawn = null;

    /**
     * @param FamilyModel $model its messages name all variables of which others may say something
     * @param Closure(FamilyModel): Solved $drawing what to do where it is too wide
     */
    public function __construct(public readonly FamilyModel $model, private readonly int $widest, private readonly Closure $drawing)
    {
        $this->silent = Silent::of($model);
        $this->network = Network::of($model, $this->silent);
        $this->order = NetworkSolution::order($this->network);
        try {
            $this->prepared = NetworkSolution::elimination($this->network, $this->order, $widest)->prepared();
        } catch (TooWide) {
            $this->prepared = null;
        }
        $this->constants = array_values(array_filter($this->network->factors, static fn (Factor $one): bool => $one->scope === []));
    }

    /** The variable of a name: of a member's genotype, or of a clutch's sire; null where it is certain. */
    public function variable(string $name): ?int
    {
        return $this->network->named($name);
    }

    /**
     * @param array<int, list<float>> $messages by variable
     * @return array<int, list<float>>|null P(value) of each of these variables; null where the evidence cannot be
     */
    public function solve(array $messages): ?array
    {
        try {
            return $this->prepared === null ? $this->drawn($messages) : $this->eliminated($messages, $this->prepared);
        } catch (TooWide) {
            $this->prepared = null;

            return $this->drawn($messages);
        }
    }

    /**
     * Once, and as if others said nothing: which draws come out has to stay the same for messages to settle.
     *
     * @param array<int, list<float>> $messages
     * @return array<int, list<float>>
     */
    private function drawn(array $messages): array
    {
        if ($this->drawn === null) {
            [$said, $this->model->messages] = [$this->model->messages, []];
            $this->drawn = ($this->drawing)($this->model)->of;
            $this->model->messages = $said;
        }
        $of = [];
        foreach ($this->drawn as $j => $members) {
            foreach ($members as $id => $chances) {
                $variable = $this->network->variableOf($j, $id);
                if ($variable !== null && isset($messages[$variable])) {
                    foreach (array_values($chances) as $value => $chance) {
                        $of[$variable][] = $chance->toFloat() * $messages[$variable][$value];
                    }
                }
            }
        }

        return $of;
    }

    /**
     * @param array<int, list<float>> $messages
     * @param list<array{Scope, array<int, float>}> $prepared
     * @return array<int, list<float>>|null
     *
     * @throws TooWide
     */
    private function eliminated(array $messages, array $prepared): ?array
    {
        $factors = $this->constants;
        foreach ($messages as $variable => $message) {
            $factors[] = new Factor([$variable], array_filter($message, static fn (float $weight): bool => $weight > 0.0));
        }
        $elimination = new Elimination($this->network->sizes, $factors, $this->order, new Doubles, $this->widest, $prepared);
        $floats = $elimination->floats();
        $this->logEvidence = $elimination->log();
        if ($floats === null) {
            return null;
        }
        $of = [];
        foreach (array_keys($messages) as $variable) {
            for ($value = 0; $value < $this->network->sizes[$variable]; $value++) {
                $of[$variable][] = $floats[$variable][$value] ?? 0.0;
            }
        }

        return $of;
    }

    /**
     * What tells of each other here, those who only follow from others among them.
     *
     * @return list<array{array<int, true>, array<string, true>}> variables, and members at a space of the whole as "space member"
     */
    public function components(): array
    {
        $components = new Components;
        foreach ($this->network->factors as $factor) {
            $components->tie(array_map(static fn (int $variable): string => "v{$variable}", $factor->scope));
        }
        $names = [];
        foreach ($this->model->domains as $j => $domains) {
            foreach ($domains as $id => $domain) {
                if (count($domain) > 1) {
                    $names[$this->nodeOf($j, $id)] = "{$this->model->places[$j]} {$id}";
                }
            }
        }
        foreach ($this->silent as $name) {
            [$j, $id] = explode(' ', $name, 2);
            $member = $this->model->hypothesis->family->members[$id];
            $sire = $this->network->named("sire {$member->batch}");
            $parents = [...$this->model->siresOf($member), (string) $member->dam];
            $nodes = array_map(fn (string $parent): string => $this->nodeOf((int) $j, $parent), $parents);
            $open = array_intersect($nodes, array_keys($names));
            $components->tie([$this->nodeOf((int) $j, $id), ...$open, ...($sire === null ? [] : ["v{$sire}"])]);
        }

        return array_map(static function (array $nodes) use ($names): array {
            $variables = array_filter($nodes, static fn (string $node): bool => $node[0] === 'v');

            return [
                array_fill_keys(array_map(static fn (string $node): int => (int) substr($node, 1), $variables), true),
                array_fill_keys(array_values(array_intersect_key($names, array_flip($nodes))), true),
            ];
        }, $components->all());
    }

    private function nodeOf(int $j, string $id): string
    {
        $variable = $this->network->variableOf($j, $id);

        return $variable === null ? "m{$j} {$id}" : "v{$variable}";
    }
}
