<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Http\Id;
use Periplus\Core\Session\Run\CommandKind;
use Symfony\Component\Validator\Constraints as Assert;

/** A command from the keys of a wall. */
final readonly class WallCommandRequest
{
    /**
     * @param int $run that the wall shows
     * @param int $seen the revision that it showed
     * @param int|null $givenMs on the server's clock, when it was given while the server was away
     */
    public function __construct(
        public int $run,
        #[Id]
        public string $id,
        public CommandKind $kind,
        #[Assert\PositiveOrZero(message: 'The revision that was seen is a number.')]
        public int $seen,
        public ?int $givenMs = null,
        public ?int $toMs = null,
    ) {
    }

    public function command(): CommandRequest
    {
        return new CommandRequest($this->id, $this->kind, $this->seen, $this->givenMs, $this->toMs);
    }
}
