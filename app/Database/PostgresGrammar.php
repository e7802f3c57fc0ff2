<?php

namespace App\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\Grammars\PostgresGrammar as Grammar;

/** Puts what has no value first, and last the other way round, as the one file does: a list is in the same order on both. */
class PostgresGrammar extends Grammar
{
    /**
     * @param  list<array{column?: mixed, direction?: string, sql?: string}>  $orders
     * @return list<string>
     */
    protected function compileOrdersToArray(Builder $query, $orders): array
    {
        $compiled = parent::compileOrdersToArray($query, $orders);
        foreach ($orders as $i => $order) {
            if (isset($order['direction'])) {
                $compiled[$i] .= strtolower($order['direction']) === 'desc' ? ' nulls last' : ' nulls first';
            }
        }

        return array_values($compiled);
    }
}
