<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\Grammars\PostgresGrammar as Grammar;

/**
 * Lists in the order in which the one file has them: what has no value first, and last the other way round; records that are asked
 * for without an order as they were made.
 */
class PostgresGrammar extends Grammar
{
    public function compileSelect(Builder $query): string
    {
        if (! $this->isPlain($query)) {
            return parent::compileSelect($query);
        }
        $ordered = clone $query;
        $ordered->orders = [['column' => "{$query->from}.id", 'direction' => 'asc']];

        return parent::compileSelect($ordered);
    }

    /** Whether it asks for records of one table, in no order; all tables number their records. */
    private function isPlain(Builder $query): bool
    {
        $isOf = is_string($query->from) && ! str_contains($query->from, ' ');
        foreach ($query->columns ?? [] as $column) {
            $isOf = $isOf && is_string($column);
        }

        return $isOf && ! $query->orders && ! $query->groups && ! $query->havings && ! $query->unions && ! $query->aggregate
            && $query->distinct === false;
    }

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
