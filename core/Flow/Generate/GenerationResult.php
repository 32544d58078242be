<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Flow\Check\CheckResult;

/** The chains that were generated, and the criteria that had to be relaxed. */
final readonly class GenerationResult
{
    /**
     * @param list<CheckResult> $results the chains with what the check says of them; no chain twice
     * @param list<Relaxation> $relax where fewer came than were asked for: what could be given up, and in words how
     *                                many would come then
     * @param Relaxation|null $bent what was given up because nothing at all met every criterion; null when all are met
     */
    public function __construct(public array $results, public array $relax, public ?Relaxation $bent = null)
    {
    }
}
