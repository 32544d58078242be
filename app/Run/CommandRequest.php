<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Http\Id;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Run\CommandKind;
use Symfony\Component\Validator\Constraints as Assert;

/** A command to a running session. */
final readonly class CommandRequest
{
    /**
     * @param string $id chosen by the client; a repeated request has the same id
     * @param int $seen the revision of the session that the sender saw
     * @param int|null $givenMs on the server's clock, when it was given while the server was away
     * @param int|null $toMs where a jump leads
     * @param int|null $track whose combination is swapped
     * @param string|null $chain that comes in by a swap, in the numbers of the plan
     * @param int|null $combinationId of the library, where it comes from there
     */
    public function __construct(
        #[Id]
        public string $id,
        public CommandKind $kind,
        #[Assert\PositiveOrZero(message: 'The revision that was seen is a number.')]
        public int $seen,
        public ?int $givenMs = null,
        public ?int $toMs = null,
        #[Assert\Range(min: 0, max: 5, notInRangeMessage: 'There is no such track.')]
        public ?int $track = null,
        #[Assert\Range(min: 0, max: 40, notInRangeMessage: 'There is no such combination in the set.')]
        public int $combination = 0,
        #[Assert\Length(max: Reader::MAX_LENGTH, maxMessage: 'A chain has at most {{ limit }} characters.')]
        public ?string $chain = null,
        public ?int $combinationId = null,
    ) {
    }
}
