<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Flow\Check\CheckResult;

/** What came of the criteria. */
final readonly class GenerationResult
{
    /**
     * @param list<CheckResult> $results the chains with what the check says of them; no chain twice
     * @param array<string, string> $relax where fewer came than were asked for: which wish to give up, and what came then, in words
     */
    public function __construct(public array $results, public array $relax)
    {
    }
}
