<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

/** A few words on technique that a coach would call out. */
final readonly class Reminder
{
    /** The topics that a reminder can have. */
    public const TOPICS = [
        'all',
        'straight',
        'jab',
        'cross',
        'jab-cross',
        'hook',
        'body-hook',
        'liver-hook',
        'uppercut',
        'bag-uppercut',
        'overhand',
        'head-movement',
        'slip',
        'round kick',
        'low-kick',
        'switch kick',
        'push kick',
        'knee',
        'elbow',
        'spinning',
        'feint',
        'footwork',
        'cause:turn',
        'cause:load',
        'cause:limb',
        'cause:range',
        'cause:feet',
        'cause:head',
    ];

    /** @param string $for one of TOPICS */
    public function __construct(public string $id, public string $for, public string $text)
    {
    }
}
