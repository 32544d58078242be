<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

/** Thrown when a programme gets far more cues than a session can have. */
final class ProgrammeTooLarge extends \DomainException
{
}
