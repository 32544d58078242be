<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Http\Id;
use Symfony\Component\Validator\Constraints as Assert;

/** A wall's report of what it has shown. */
final readonly class ShownRequest
{
    /** @param list<array{passage: string, cue: string, atMs: int}> $shown with times on the server's clock */
    public function __construct(
        public int $run,
        #[Assert\Count(max: 500, maxMessage: 'At most {{ limit }} at a time.')]
        #[Assert\All([new Assert\Collection(
            fields: [
                'passage' => [
                    new Assert\NotNull(message: 'This is missing.'),
                    new Assert\Regex(Id::PATTERN, message: 'A passage is named by the id of a command.'),
                ],
                'cue' => [
                    new Assert\NotNull(message: 'This is missing.'),
                    new Assert\Regex('/^[a-z0-9-]{1,80}$/D', message: 'A cue is named by its key.'),
                ],
                'atMs' => [
                    new Assert\NotNull(message: 'This is missing.'),
                    new Assert\Type('int', message: 'A time is a number of milliseconds.'),
                    new Assert\Range(min: 0, max: 9_000_000_000_000, notInRangeMessage: 'There is no such time.'),
                ],
            ],
            missingFieldsMessage: 'Give passage, cue and time of each.',
            extraFieldsMessage: 'This field is not known.',
        )])]
        public array $shown,
    ) {
    }
}
