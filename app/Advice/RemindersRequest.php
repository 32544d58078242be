<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Symfony\Component\Validator\Constraints as Assert;

/** All reminders of the gym. */
final readonly class RemindersRequest
{
    /** @param list<ReminderRow>|null $reminders null for those that ship */
    public function __construct(
        #[Assert\Valid] #[Assert\Count(
            min: 1,
            max: 200,
            minMessage: 'Keep at least one reminder.',
            maxMessage: 'At most {{ limit }} reminders.',
        )]
        #[Assert\Unique(normalizer: [ReminderRow::class, 'idOf'], message: 'Two reminders have the same id.')]
        public ?array $reminders,
    ) {
    }

    /** @return list<array<string, mixed>>|null */
    public function rows(): ?array
    {
        return null === $this->reminders
            ? null
            : array_map(
                static fn (ReminderRow $row): array => [
                    'id' => $row->id,
                    'for' => $row->for,
                    'text' => trim($row->text),
                ],
                $this->reminders,
            );
    }
}
