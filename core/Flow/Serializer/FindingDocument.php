<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Check\Finding;
use Periplus\Core\HouseRules\Severity;

/** What a rule found, in one or several places. */
final readonly class FindingDocument
{
    /** @param list<int> $places of the items, in the chain */
    private function __construct(
        public string $id,
        public Severity $severity,
        public ?int $at,
        public string $message,
        public array $places,
    ) {
    }

    /**
     * Merges the findings of one rule and severity into one.
     *
     * @param list<Finding> $findings
     *
     * @return list<self>
     */
    public static function merge(array $findings): array
    {
        $groups = [];
        foreach ($findings as $finding) {
            $groups[$finding->id.' '.$finding->severity->value][] = $finding;
        }

        return array_values(array_map(
            static fn (array $of): self => new self(
                $of[0]->id,
                $of[0]->severity,
                $of[0]->at,
                $of[0]->message,
                array_values(array_filter(
                    array_map(static fn (Finding $finding): ?int => $finding->at, $of),
                    \is_int(...),
                )),
            ),
            $groups,
        ));
    }
}
