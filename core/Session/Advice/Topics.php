<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

/** What the reminders and the faults of a gym are about. */
final class Topics
{
    /** Techniques, and groups of them. */
    public const TECHNIQUES = [
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
    ];
    /** Causes of waiting at a link. */
    public const CAUSES = ['cause:turn', 'cause:load', 'cause:limb', 'cause:range', 'cause:feet', 'cause:head'];
}
