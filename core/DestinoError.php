<?php

declare(strict_types=1);

namespace Destino;

use Throwable;

/** Marks every error that a person's input can cause: its message is fit to be shown to that person. */
interface DestinoError extends Throwable {}
