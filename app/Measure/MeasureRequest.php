<?php

declare(strict_types=1);

namespace Periplus\App\Measure;

use Periplus\App\Http\Id;
use Periplus\Core\Measure\Alignment;
use Symfony\Component\Validator\Constraints as Assert;

/** Taps or hits of several repetitions of a combination. */
final readonly class MeasureRequest
{
    /**
     * @param list<int|float> $taps ms from any beginning
     * @param string|null $id chosen by the client, so that a repeated request is stored once; without one nothing
     *                        is kept
     */
    public function __construct(
        #[Assert\Count(max: Alignment::MAX_TAPS, maxMessage: 'At most {{ limit }} strikes at a time.')]
        #[Assert\All([
            new Assert\Type(['int', 'float'], message: 'A moment is a number of milliseconds.'),
            new Assert\Range(
                min: 0,
                max: 3_600_000,
                notInRangeMessage: 'A moment is at most an hour from the first.',
            ),
        ])]
        public array $taps,
        #[Assert\Choice(choices: ['taps', 'sound'], message: 'It is measured by taps or by sound.')]
        public string $method = 'taps',
        #[Id] public ?string $id = null,
    ) {
    }
}
