<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\TooWide;
use Destino\Probability\Rational;

/** How a network is eliminated, and its answers by space and member. */
final readonly class NetworkSolution
{
    /** The same for those that tell of others by themselves, of whom there are fewer. */
    public const HOPELESS_CORE = 20.0;

    /** @return Elimination<float> */
    public static function elimination(Network $network, Order $order, int $widest, float $hopeless = self::HOPELESS_CORE): Elimination
    {
        if ($order->size > $hopeless * $widest) {
            throw TooWide::beyond($widest);
        }

        return new Elimination($network->sizes, $network->factors, $order, new Doubles, $widest);
    }

    /** What would be too wide in any case is not ordered to its end: its size is infinite. */
    public static function order(Network $network, int $work = 12_000, float $most = Order::HOPELESS): Order
    {
        $scopes = array_map(static fn (Factor $factor): array => $factor->scope, $network->factors);

        return Order::of($network->sizes, $scopes, $work, min($most, Order::HOPELESS));
    }

    /**
     * @param array<int, list<Rational>> $marginals by variable
     * @return list<array<string, array<int, Rational>>>
     */
    public static function named(FamilyModel $model, Network $network, array $marginals): array
    {
        $of = [];
        foreach ($model->domains as $i => $domains) {
            $own = [];
            foreach ($domains as $id => $domain) {
                $variable = $network->variableOf($i, $id);
                if ($variable !== null || count($domain) === 1) {
                    $own[$id] = array_combine(array_keys($domain), $variable === null ? [Rational::one()] : $marginals[$variable]);
                }
            }
            $of[] = $own;
        }

        return $of;
    }
}
