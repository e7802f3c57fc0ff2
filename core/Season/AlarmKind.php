<?php

declare(strict_types=1);

namespace Destino\Season;

/** What can be wrong with what a probe tells. */
enum AlarmKind: string
{
    case Drift = 'drift';
    case Jump = 'jump';
    case Silence = 'silence';
    case Clock = 'clock';
}
