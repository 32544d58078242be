<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** Why there is no answer: the part of the text, in characters. */
final readonly class AnswerProblem
{
    public function __construct(public int $at, public int $length, public string $message)
    {
    }
}
