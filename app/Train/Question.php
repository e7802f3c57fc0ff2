<?php

namespace App\Train;

use Destino\Appearance\Look;

/** One question of the trainer with its options, as it is asked and as it is answered. */
class Question
{
    /**
     * @param string $item what it trains
     * @param list<array{label: string, look: Look|null}> $options
     * @param int $answer place of the right one
     * @param Look|null $look the animal that is asked about
     * @param string $why what to look at, or how it is worked out
     * @param list<array{label: string, look: Look}> $shown what is put side by side in the answer
     */
    public function __construct(
        public readonly string $item,
        public readonly string $asks,
        public readonly array $options,
        public readonly int $answer,
        public readonly ?Look $look,
        public readonly string $why,
        public readonly array $shown,
    ) {}
}
