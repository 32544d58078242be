<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

/** A few words on technique that a coach would call out. */
final readonly class Reminder
{
    /** The topics that a reminder can have. */
    public const TOPICS = ['all', ...Topics::TECHNIQUES, ...Topics::CAUSES];

    /** @param string $for one of TOPICS */
    public function __construct(public string $id, public string $for, public string $text)
    {
    }
}
