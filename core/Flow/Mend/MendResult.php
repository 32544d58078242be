<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Edit;

/** The mends that were found for a chain. */
final readonly class MendResult
{
    /** Maximum number of mends of one kind at one index; more would differ in details only. */
    private const MAX_ALIKE = 2;

    /**
     * @param list<Mend> $ofVerdict all that lift the verdict, best first; empty when it flows already
     * @param array<int, list<Mend>> $ofFindings by the place of a finding in the report, the single edits after which
     *                                           it
     *                                           no longer holds and nothing worse has come in its place, best first
     * @param bool $pairs whether pairs of edits were tried as well; for long chains they are not
     * @param bool $complete whether all pairs were tried; otherwise these are the best that the budget allowed
     */
    public function __construct(
        public array $ofVerdict,
        public array $ofFindings,
        public bool $pairs,
        public bool $complete,
    ) {
    }

    /**
     * Drops mends that differ from earlier ones in details only.
     *
     * @param list<Mend> $mends best first
     *
     * @return list<Mend>
     */
    public static function different(array $mends, int $most, int $alike = self::MAX_ALIKE): array
    {
        $kept = [];
        $seen = [];
        foreach ($mends as $mend) {
            $kind = implode(
                ' ',
                array_map(static fn (Edit $edit): string => $edit->kind->value.$edit->at, $mend->edits),
            );
            $seen[$kind] = ($seen[$kind] ?? 0) + 1;
            if ($seen[$kind] <= $alike && \count($kept) < $most) {
                $kept[] = $mend;
            }
        }

        return $kept;
    }
}
