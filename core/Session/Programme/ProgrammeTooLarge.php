<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

/** Thrown while a programme is built that has far more cues than a session can have. */
final class ProgrammeTooLarge extends \DomainException
{
}
