<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

/** A text that the voice says at one moment. */
final readonly class Utterance
{
    /** @param int $atMs from the start of the session; below zero before it */
    public function __construct(public int $atMs, public string $text)
    {
    }
}
