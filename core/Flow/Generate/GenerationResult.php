<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Flow\Check\CheckResult;

/** The chains that were generated, and the criteria that had to be relaxed. */
final readonly class GenerationResult
{
    /**
     * @param array{
     *     words: string,
     *     criteria: array<string, int|string|bool|list<string>|null>,
     * }|null $bent what was given up because nothing at all met every criterion; null when all are met
     * @param list<CheckResult> $results the chains with what the check says of them; no chain twice
     * @param array<string, array{
     *     words: string,
     *     criteria: array<string, int|string|bool|list<string>|null>,
     * }> $relax where fewer came than were asked for: by the criterion to give up, what came then in words, and what to
     * ask for instead
     */
    public function __construct(public array $results, public array $relax, public ?array $bent = null)
    {
    }
}
