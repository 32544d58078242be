<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Periplus\Core\Session\Advice\Reminder;
use Symfony\Component\Validator\Constraints as Assert;

/** A reminder in a request. */
final readonly class ReminderRow
{
    public function __construct(
        #[Assert\Regex(
            '/^[a-z0-9-]{1,60}$/D',
            message: 'The id of a reminder has small letters, digits and hyphens.',
        )]
        public string $id,
        #[Assert\Choice(
            choices: Reminder::TOPICS,
            message: 'A reminder is for all, a technique or a cause of waiting.',
        )]
        public string $for,
        #[Assert\Length(
            min: 3,
            max: 60,
            minMessage: 'A reminder has at least {{ limit }} characters.',
            maxMessage: 'A reminder has at most {{ limit }} characters: it is read from the wall.',
            normalizer: 'trim',
        )]
        public string $text,
    ) {
    }

    /** Returns the key that must be unique. */
    public static function idOf(self $row): string
    {
        return $row->id;
    }
}
