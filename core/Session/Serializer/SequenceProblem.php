<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** Why chains cannot be ordered. */
final readonly class SequenceProblem
{
    /** @param int $line of the question, from 0 */
    public function __construct(public int $line, public string $message)
    {
    }
}
