<?php

declare(strict_types=1);

namespace Destino\Notation;

enum NameKind
{
    case Allele;
    case TwoCopies;
    case Compound;
    case Nickname;
    /** A word that several genes or pairs share: a question. */
    case Shared;
}
