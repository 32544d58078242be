<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

/** A fault that coaches look for in a technique or at a link that stops, with the few words that mend it. */
final readonly class Fault
{
    /** The topics that a fault can have. */
    public const TOPICS = [
        ...Topics::TECHNIQUES,
        'back fist',
        'side kick',
        'axe kick',
        'crescent kick',
        'oblique kick',
        ...Topics::CAUSES,
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
