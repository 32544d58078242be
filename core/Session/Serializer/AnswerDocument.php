<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Technique\Stance;

/** A strike that the opponent answers with. */
final readonly class AnswerDocument
{
    /** @param list<DefenceDocument> $defences */
    public function __construct(
        public string $text,
        public string $words,
        public Stance $opponent,
        public array $defences,
    ) {
    }
}
