<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** The values of a drill as they were read, with what could not be taken. */
final readonly class ReadParameters
{
    /** @param array<string, string> $problems one sentence each, by parameter; in its place the usual value counts */
    public function __construct(public Parameters $values, public array $problems)
    {
    }
}
