<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** The opponent's answers to a chain. */
final readonly class AnswersDocument
{
    /**
     * @param list<AnswerDocument> $answers
     * @param list<AnswerProblem> $problems
     */
    public function __construct(public array $answers, public array $problems)
    {
    }
}
