<?php

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** The long trials, in their short form; `bin/destino ordeal` runs them at length. */
class OrdealTest extends TestCase
{
    public function test_what_is_promised_holds_under_trial(): void
    {
        exec(
            escapeshellarg(PHP_BINARY).' '.escapeshellarg(dirname(__DIR__, 2).'/bin/ordeal.php').' --rounds=2 --seconds=4 --texts=1500 2>&1',
            $said, $code,
        );
        $all = implode("\n", $said);
        $this->assertSame(0, $code, $all);
        $this->assertSame(12, substr_count($all, '  held   '), $all);
        $this->assertMatchesRegularExpression('/[1-9]\d* acknowledged writes, 0 lost/', $all);
    }
}
