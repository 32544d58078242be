<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

/** A command that makes no sense now; the message says why, to a coach. */
final class CommandRefused extends \RuntimeException
{
}
