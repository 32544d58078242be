<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Combination\Item;
use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\ReturnFire\Answer;
use Periplus\Core\Session\ReturnFire\Defence;
use Periplus\Core\Session\ReturnFire\ReturnFire;

use function Periplus\Core\Language\t;

/** Finds the opponent's answers to a chain, the defences and the counters. */
final readonly class AnswerSerializer
{
    public function __construct(private ReturnFire $returnFire)
    {
    }

    public function serialize(ReadChain $chain, CheckOptions $options): AnswersDocument
    {
        if (null === $chain->inStance) {
            return new AnswersDocument([], array_map(
                static fn (ReadingProblem $problem): AnswerProblem => new AnswerProblem(
                    $problem->at,
                    $problem->length,
                    $problem->message,
                ),
                $chain->reading->problems,
            ));
        }
        $answers = $this->returnFire->answers($chain->inStance, $options);
        $writer = new Writer($chain->text->readIn);

        return new AnswersDocument(
            array_map(
                fn (Answer $answer): AnswerDocument => new AnswerDocument(
                    $writer->item($answer->strike, $answer->opponent),
                    Words::bySide()->item($answer->strike, $answer->opponent),
                    $answer->opponent,
                    array_map(
                        fn (Defence $defence): DefenceDocument => $this->defence($defence, $writer),
                        $answer->defences,
                    ),
                ),
                $answers,
            ),
            [] === $answers
                ? [new AnswerProblem(
                    0,
                    mb_strlen($chain->text->text),
                    t('Nothing of this chain lands, so there is nothing to answer.'),
                )]
                : [],
        );
    }

    private function defence(Defence $defence, Writer $writer): DefenceDocument
    {
        $text = static fn (Item $item): string => $writer->item($item, $defence->stance);
        $words = static fn (Item $item): string => Words::bySide()->item($item, $defence->stance);

        return new DefenceDocument(
            implode(' ', array_map($text, $defence->moves)),
            implode(', ', array_map($words, $defence->moves)),
            $defence->why,
            (int) round($defence->link->wait ?? 0.0),
            array_map(
                static fn (Continuation $next): CounterDocument => new CounterDocument(
                    $text($next->item),
                    $words($next->item),
                    (int) round($next->wait),
                    $next->verdict,
                    $next->reason,
                ),
                $defence->counters,
            ),
        );
    }
}
