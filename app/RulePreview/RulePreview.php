<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\HouseRules\HouseRules;

/** One pass over the library under changed house rules, as far as it has come. */
final readonly class RulePreview
{
    public function __construct(
        public int $id,
        public HouseRules $rules,
        public int $rulesVersion,
        public RulePreviewState $state,
        public int $total,
        public int $done,
        public int $lastCombination,
    ) {
    }

    /** @param array<string, mixed> $row of the table */
    public static function of(array $row): self
    {
        $whole = static fn (string $column): int => is_numeric($row[$column]) ? (int) $row[$column] : 0;
        /** @var array{content: string, state: string} $row */
        /** @var array{id: string, name: string, allows: list<string>, schools: array{leadHook: string, handSide: string, handTiming: string, ending: string, hardStrikes: string, jabStep?: string}, severities: array<string, string>, thresholds: array<string, int|float>, calibration?: array<string, int|float>} $content */
        $content = json_decode($row['content'], true, flags: \JSON_THROW_ON_ERROR);

        return new self($whole('id'), HouseRules::of($content), $whole('rules_version'), RulePreviewState::from($row['state']), $whole('total'), $whole('done'), $whole('last_combination'));
    }
}
