<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Similarity\Family;
use Periplus\Core\Technique\Stance;

/** The part of a check that the library stores, so that filters need not check again. */
final readonly class CheckSummary
{
    /** The value of the column "weapons" for punches alone. */
    public const HANDS_ALONE = ',hand,';

    /**
     * @param string $weapons the limbs that land, as ",hand,leg,"
     * @param int $strikes how many, feints among them
     * @param int $level that the check gives at working tempo
     * @param string $contacts what is met on an orthodox opponent in the stance of the report, as ",liver,"
     */
    private function __construct(
        public Fingerprint $fingerprint,
        public Verdict $verdict,
        public int $lengthMs,
        public string $weapons,
        public string $sequence,
        public string $stem,
        public int $strikes,
        public string $contacts,
        public int $level,
    ) {
    }

    public static function of(CheckResult $result): self
    {
        $inStance = $result->inStance;
        $limbs = array_unique(
            array_map(static fn (StrikeItem $item): string => $item->strike->limb->value, $inStance->chain->strikes()),
        );
        $sequence = Sequence::of($inStance->chain);
        $contacts = [];
        $opponent = new Opponent(Stance::Orthodox);
        foreach (array_keys($inStance->chain->items) as $index) {
            foreach ($opponent->contacts($inStance, $index) as $contact) {
                $contacts[$contact->value] = true;
            }
        }
        ksort($contacts);

        return new self(
            fingerprint: Fingerprint::of($inStance->chain),
            verdict: $result->verdict,
            lengthMs: (int) round($result->timing->length()),
            weapons: self::set($limbs),
            sequence: $sequence->text(),
            stem: Family::stem($sequence)->text(),
            strikes: \count($inStance->chain->strikes()),
            contacts: self::set(array_keys($contacts)),
            level: Scale::builtIn()->difficulty($result)->level,
        );
    }

    /** @param array<string> $values */
    private static function set(array $values): string
    {
        return ','.implode(',', $values).',';
    }
}
