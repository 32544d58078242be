<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Combination\MoveItem;
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

/** Returns the opponent's answer to a chain, the defences and the counters, as a JSON-ready array. */
final readonly class AnswerSerializer
{
    /**
     * @return array{
     *     answers: list<array<string, mixed>>,
     *     problems: list<array{at: int, length: int, message: string}>,
     * }
     */
    public static function serialize(ReadChain $chain, CheckOptions $options): array
    {
        if (null === $chain->inStance) {
            return [
                'answers' => [],
                'problems' => array_map(
                    static fn (ReadingProblem $problem): array => [
                        'at' => $problem->at,
                        'length' => $problem->length,
                        'message' => $problem->message,
                    ],
                    $chain->reading->problems,
                ),
            ];
        }
        $answers = ReturnFire::builtIn()->answers($chain->inStance, $options);
        $writer = new Writer($chain->text->readIn);

        return [
            'answers' => array_map(
                static fn (Answer $answer): array => [
                    'text' => $writer->item($answer->strike, $answer->opponent),
                    'words' => Words::bySide()->item($answer->strike, $answer->opponent),
                    'opponent' => $answer->opponent->value,
                    'defences' => array_map(
                        static fn (Defence $defence): array => self::defence($defence, $writer),
                        $answer->defences,
                    ),
                ],
                $answers,
            ),
            'problems' => [] === $answers
                    ? [
                        [
                            'at' => 0,
                            'length' => mb_strlen($chain->text->text),
                            'message' => t('Nothing of this chain lands, so there is nothing to answer.'),
                        ],
                    ]
                    : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function defence(Defence $defence, Writer $writer): array
    {
        return [
            'text' => implode(
                ' ',
                array_map(
                    static fn (MoveItem $item): string => $writer->item($item, $defence->stance),
                    $defence->moves,
                ),
            ),
            'words' => implode(
                ', ',
                array_map(
                    static fn (MoveItem $item): string => Words::bySide()->item($item, $defence->stance),
                    $defence->moves,
                ),
            ),
            'why' => $defence->why,
            'waitMs' => (int) round($defence->link->wait ?? 0.0),
            'counters' => array_map(static fn (Continuation $next): array => [
                'text' => $writer->item($next->item, $defence->stance),
                'words' => Words::bySide()->item($next->item, $defence->stance),
                'waitMs' => (int) round($next->wait),
                'verdict' => $next->verdict->value,
                'reason' => $next->reason,
            ], $defence->counters),
        ];
    }
}
