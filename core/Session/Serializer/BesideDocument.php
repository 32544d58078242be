<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** A chain beside that of a cue. */
final readonly class BesideDocument
{
    /** @param string $label such as "easier"; empty for one of a menu */
    public function __construct(public string $label, public string $text)
    {
    }
}
