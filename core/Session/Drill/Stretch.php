<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/**
 * A part of a set, and what it is about.
 *
 * @template-covariant T
 */
final readonly class Stretch
{
    /**
     * @param int $fromMs from the start of the set
     * @param T $of
     */
    public function __construct(public int $fromMs, public int $ms, public mixed $of)
    {
    }
}
