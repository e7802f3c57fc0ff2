<?php

declare(strict_types=1);

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
     * @param string|null $place region of the body that tells, lifted on the drawings of the answer
     * @param int|null $photo number of the keeper's own photograph that is asked about
     */
    public function __construct(
        public readonly string $item,
        public readonly string $asks,
        public readonly array $options,
        public readonly int $answer,
        public readonly ?Look $look,
        public readonly string $why,
        public readonly array $shown,
        public readonly ?string $place = null,
        public readonly ?int $photo = null,
    ) {}
}
