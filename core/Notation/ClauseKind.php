<?php

declare(strict_types=1);

namespace Destino\Notation;

enum ClauseKind
{
    /** At least one copy of an allele that shows in one copy. */
    case AtLeastOne;
    case ExactlyOne;
    case TwoCopies;
    case Compound;
    /** One copy of an allele that does not show. */
    case HiddenHet;
    /** Any copy, visible or not. */
    case Carries;
    case NoCopy;
    /** The allele does not show. */
    case NotShowing;
    /** Anything but this pair. */
    case NotForm;
}
