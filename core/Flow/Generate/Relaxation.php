<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

/** Criteria of generated chains with one of them given up. */
final readonly class Relaxation
{
    /**
     * @param string $criterion that is given up
     * @param string $words what giving it up means
     * @param array<string, int|string|bool|list<string>|null> $criteria what to ask for instead, as in a request
     */
    public function __construct(public string $criterion, public string $words, public array $criteria)
    {
    }
}
