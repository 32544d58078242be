<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

/** Thrown when a command makes no sense now; the message tells the coach why. */
final class CommandRefused extends \RuntimeException
{
}
