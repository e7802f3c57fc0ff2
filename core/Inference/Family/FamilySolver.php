<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Marginals;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\Sampler;
use Destino\Inference\Graph\TooWide;
use Destino\Probability\Rational;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Works out a family: exactly in rationals where it is small, exactly in scaled doubles where it is larger. Beyond that the
 * animals that tell nothing of others are left to draws of all others, and where even these are too wide, all are drawn.
 */
final readonly class FamilySolver
{
    /** Entries of all tables, were they full, up to which rationals are used. */
    private const RATIONAL = 6000;

    /** A family of several parts is still solved as one graph up to this many table entries, counted as if all tables were full. */
    private const WHOLE = 400_000;

    /** Entries that the tables may really hold together. */
    public const WIDEST = 2_200_000;

    /** Beyond this, and twice those that are always in it, silent animals are shared out over several graphs. */
    private const BATCH = 500_000.0;

    /** And so many times what one graph may hold, were the tables full, they may hold together. */
    private const SHARED = 5.0;

    /** Beyond this many times that, were the tables full, it is not even tried. */
    private const HOPELESS = 2.0;

    /** Another order of the same graph is hardly ever so many times as good. */
    private const FAR = 4.0;

    /** Draws of all others for the animals that tell nothing of them. */
    private const DRAWS = 1_600;

    public static function solve(FamilyModel $model, int $widest = self::WIDEST): Solved
    {
        if ($model->offender !== null) {
            return Solved::impossible();
        }
        $network = Network::of($model);
        $order = self::firstOrder($model, $network);
        $isSmall = $order->size <= self::RATIONAL && count($network->sizes) <= 60 && $model->messages === [];
        if ($model->parts !== [] && $order->size > self::WHOLE) {
            $divided = self::divided($model, $widest);
            if ($divided !== null) {
                return $divided;
            }
            $order = NetworkSolution::order($network);
        }
        try {
            $marginals = $isSmall
                ? (new Elimination($network->sizes, $network->factors, $order, new Exact))->run()
                : NetworkSolution::elimination($network, $order, $widest, self::HOPELESS)->run();
        } catch (TooWide) {
            return self::apart($model, $widest);
        }

        return $marginals->isPossible()
            ? new Solved(NetworkSolution::named($model, $network, $marginals->of), $marginals->logEvidence)
            : Solved::impossible();
    }

    /** Where a family has parts, a graph that is far too wide is not ordered to its end. */
    private static function firstOrder(FamilyModel $model, Network $network): Order
    {
        return $model->parts === [] ? NetworkSolution::order($network) : NetworkSolution::order($network, 2_000, self::FAR * self::WHOLE);
    }

    /** By its parts, which send each other messages; null where it has only one. */
    public static function divided(FamilyModel $model, int $widest = self::WIDEST): ?Solved
    {
        if ($model->parts === []) {
            return null;
        }
        $between = new BetweenLoci($model, $widest, static fn (FamilyModel $part): Solved => self::solve($part, $widest));
        if (! $between->run()) {
            return Solved::impossible();
        }
        $of = $errors = $logs = [];
        [$isExact, $error] = [true, 0.0];
        foreach ($model->parts as $part) {
            $solved = self::solve($part, $widest);
            $logs[] = $solved->logEvidence;
            foreach ($solved->of as $j => $own) {
                $of[$part->places[$j]] = $own;
            }
            $isExact = $isExact && $solved->isExact;
            $error = max($error, $solved->error);
            foreach ($solved->errors as $id => $one) {
                $errors[$id] = max($one, $errors[$id] ?? 0.0);
            }
        }
        foreach (array_keys($between->inCircles()) as $name) {
            [$i, $id] = explode(' ', $name, 2);
            $shares = array_map(static fn (Rational $one): float => $one->toFloat(), $of[(int) $i][$id] ?? []);
            if ($shares !== [] && max($shares) < 1.0) {
                [$isExact, $error] = [false, max($error, BetweenLoci::ERROR)];
            }
            if ($shares !== [] && max($shares) < 1.0 - BetweenLoci::ERROR / 100) { // what is as good as sure is not off by so much
                $errors[$id] = max(BetweenLoci::ERROR, $errors[$id] ?? 0.0);
            }
        }
        ksort($of);

        return count($of) === count($model->spaces)
            ? new Solved(array_values($of), $between->logEvidence($logs), $isExact, $error, $errors)
            : Solved::impossible();
    }

    /** Only log P(evidence); 0 where the family is too wide for it. */
    public static function logEvidence(FamilyModel $model): float
    {
        if ($model->offender !== null) {
            return -INF;
        }
        try {
            $network = Network::of($model, Silent::of($model));
            $order = self::firstOrder($model, $network);
            if ($model->parts !== [] && $order->size > self::WHOLE) {
                $between = new BetweenLoci($model, self::WIDEST, self::solve(...));

                return $between->run() ? $between->logEvidence() : -INF;
            }

            return NetworkSolution::elimination($network, $order, self::WIDEST)->logEvidence();
        } catch (TooWide) {
            return 0.0;
        }
    }

    /** Those that tell of others by themselves; the silent ones with them, some at a time, or from draws of them. */
    private static function apart(FamilyModel $model, int $widest): Solved
    {
        $silent = Silent::of($model);
        $core = Network::of($model, $silent);
        $order = NetworkSolution::order($core);
        try {
            $elimination = NetworkSolution::elimination($core, $order, $widest);
            $marginals = $elimination->run();
        } catch (TooWide) {
            return self::drawn($model, $core, $silent);
        }
        if (! $marginals->isPossible()) {
            return Solved::impossible();
        }
        $of = NetworkSolution::named($model, $core, $marginals->of);
        $plain = Silence::over($model, $core, $silent)->beside($elimination);
        $others = array_values(array_diff($silent, array_keys($plain)));
        $some = self::someAtATime($model, $silent, Silent::bySire($model, $others), $order->size, $widest);
        if ($some !== null) {
            return new Solved(self::with($model, $of, $plain + $some), $marginals->logEvidence);
        }
        $draws = new SilentDraws($model, $core, $silent);
        $chance = new Randomizer(new Mt19937(1));
        for ($draw = 0; $draw < self::DRAWS; $draw++) {
            $draws->add($elimination->draw($chance), intdiv(8 * $draw, self::DRAWS), $chance);
        }

        return new Solved(
            self::with($model, $of, $plain + $draws->shares()), $marginals->logEvidence, false, $draws->error(),
            self::byMember($draws->errors()),
        );
    }

    /**
     * Exact answers for silent members, as many at a time as the graph bears.
     *
     * @param list<string> $silent all of them, as "space member"
     * @param list<string> $wanted those that are asked for
     * @param float $core entries of those that are in every graph, were the tables full
     * @return array<string, array<int, Rational>>|null by "space member" and number of the genotype; null where it would be too much
     */
    private static function someAtATime(FamilyModel $model, array $silent, array $wanted, float $core, int $widest): ?array
    {
        $plan = [];
        $left = self::SHARED * $widest;
        if ($wanted === []) {
            return [];
        }
        $hardest = Silent::deepest($model, $silent, $wanted); // where this one alone is too much, the others need not be ordered
        if (self::orderOf($model, $silent, [$hardest], $left)[1]->size > $left
            || ! self::share($model, $silent, $wanted, $core, $plan, $left)) {
            return null;
        }
        $all = [];
        foreach ($plan as [$some, $network, $order]) {
            try {
                $of = NetworkSolution::named($model, $network, NetworkSolution::elimination($network, $order, $widest)->run()->of);
            } catch (TooWide) {
                return null;
            }
            foreach ($some as $name) {
                [$space, $id] = explode(' ', $name, 2);
                $all[$name] = $of[(int) $space][$id];
            }
        }

        return $all;
    }

    /**
     * Shares silent members out over graphs, each not much larger than the one of all others.
     *
     * @param list<string> $silent
     * @param list<string> $wanted
     * @param list<array{list<string>, Network, Order}> $plan who is worked out in which graph, added to
     * @param float $left entries that may still be planned
     * @return bool false where it would be too much
     */
    private static function share(FamilyModel $model, array $silent, array $wanted, float $core, array &$plan, float &$left): bool
    {
        $most = 2 * $core + self::BATCH;
        [$network, $order] = self::orderOf($model, $silent, $wanted, count($wanted) > 1 ? $most : $left);
        if ($order->size > $most && count($wanted) > 1) {
            $half = intdiv(count($wanted), 2);

            return self::share($model, $silent, array_slice($wanted, 0, $half), $core, $plan, $left)
                && self::share($model, $silent, array_slice($wanted, $half), $core, $plan, $left);
        }
        $left -= $order->size;
        $plan[] = [$wanted, $network, $order];

        return $left >= 0.0;
    }

    /**
     * @param list<string> $silent
     * @param list<string> $wanted
     * @param float $most entries, were the tables full, that are of use; what is far beyond is not ordered to its end
     * @return array{Network, Order} of those that tell of others, the wanted ones and the silent ones that these descend from
     */
    private static function orderOf(FamilyModel $model, array $silent, array $wanted, float $most): array
    {
        $network = Network::of($model, array_values(array_diff($silent, Silent::withAncestors($model, $silent, $wanted))));

        return [$network, NetworkSolution::order($network, 2_000, self::FAR * $most)];
    }

    /** @param list<string> $silent */
    private static function drawn(FamilyModel $model, Network $core, array $silent): Solved
    {
        $draws = new SilentDraws($model, $core, $silent);
        $chance = new Randomizer(new Mt19937(1));
        $marginals = (new Sampler($core->sizes, $core->factors))->run(
            static fn (array $values, int $part) => $draws->add($values, $part, $chance),
        );
        if (! $marginals->isPossible()) { // a sampler that found no beginning proves nothing
            return new Solved([], 0.0, false, 1.0);
        }

        return new Solved(
            self::with($model, NetworkSolution::named($model, $core, $marginals->of), $draws->shares()), $marginals->logEvidence, false,
            max($marginals->error, $draws->error()), self::byMember(self::errorsOf($model, $core, $marginals) + $draws->errors()),
        );
    }

    /** @return array<string, float> by "space member" */
    private static function errorsOf(FamilyModel $model, Network $core, Marginals $marginals): array
    {
        $errors = [];
        foreach ($model->domains as $i => $domains) {
            foreach (array_keys($domains) as $id) {
                $variable = $core->variableOf($i, $id);
                if ($variable !== null) {
                    $errors["{$i} {$id}"] = $marginals->errors[$variable];
                }
            }
        }

        return $errors;
    }

    /**
     * @param array<string, float> $errors by "space member"
     * @return array<string, float> the largest of each member
     */
    private static function byMember(array $errors): array
    {
        $largest = [];
        foreach ($errors as $name => $error) {
            $id = explode(' ', $name, 2)[1];
            $largest[$id] = max($error, $largest[$id] ?? 0.0);
        }

        return array_filter($largest, static fn (float $error): bool => $error > 0.0);
    }

    /**
     * @param list<array<string, array<int, Rational>>> $of
     * @param array<string, array<int, Rational>> $silent by "space member"
     * @return list<array<string, array<int, Rational>>>
     */
    private static function with(FamilyModel $model, array $of, array $silent): array
    {
        foreach ($silent as $name => $shares) {
            [$space, $id] = explode(' ', $name, 2);
            $of[(int) $space][$id] = $shares;
        }

        return $of;
    }
}
