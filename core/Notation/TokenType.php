<?php

declare(strict_types=1);

namespace Destino\Notation;

enum TokenType
{
    case Word;
    case Number;
    case Percent;
    case Slash;
    /** A comma, a plus sign or the like: it may stand between pieces and means nothing. */
    case Separator;
    case Open;
    case Close;
    case Other;
    case End;
}
