<?php

declare(strict_types=1);

namespace Destino\Pairing;

/** How outcomes are told apart. */
enum By: string
{
    case Genotype = 'genotype';
    case Look = 'look';
}
