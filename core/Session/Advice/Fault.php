<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

/** A fault that coaches look for in a technique or at a link that stops, with the few words that mend it. */
final readonly class Fault
{
    /** The topics that a fault can have. */
    public const TOPICS = [
        'jab',
        'cross',
        'straight',
        'jab-cross',
        'hook',
        'body-hook',
        'liver-hook',
        'uppercut',
        'bag-uppercut',
        'overhand',
        'back fist',
        'head-movement',
        'slip',
        'round kick',
        'low-kick',
        'switch kick',
        'push kick',
        'side kick',
        'axe kick',
        'crescent kick',
        'oblique kick',
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
    public function __construct(
        public string $id,
        public string $for,
        public string $text,
        public string $mend,
    ) {
    }
}
