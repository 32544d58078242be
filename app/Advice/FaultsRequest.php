<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Symfony\Component\Validator\Constraints as Assert;

/** All faults of the gym. */
final readonly class FaultsRequest
{
    /** @param list<FaultRow>|null $faults null for those that ship */
    public function __construct(
        #[Assert\Valid] #[Assert\Count(
            min: 1,
            max: 300,
            minMessage: 'Keep at least one fault.',
            maxMessage: 'At most {{ limit }} faults.',
        )]
        #[Assert\Unique(normalizer: [FaultRow::class, 'idOf'], message: 'Two faults have the same id.')]
        public ?array $faults,
    ) {
    }

    /** @return list<array<string, mixed>>|null */
    public function rows(): ?array
    {
        return null === $this->faults
            ? null
            : array_map(
                static fn (FaultRow $row): array => [
                    'id' => $row->id,
                    'for' => $row->for,
                    'text' => trim($row->text),
                    'mend' => trim($row->mend),
                ],
                $this->faults,
            );
    }
}
