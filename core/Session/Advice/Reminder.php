<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

/** A few words on technique that a coach would call out. */
final readonly class Reminder
{
    /** @param string $for what it belongs to, see core/data/reminders.json */
    public function __construct(public string $id, public string $for, public string $text)
    {
    }

    /** @return array{id: string, for: string, text: string} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'for' => $this->for, 'text' => $this->text];
    }
}
