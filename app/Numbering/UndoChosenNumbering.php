<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\App\Account\User;
use Periplus\App\Audit\UndoesChange;
use Symfony\Component\Security\Core\User\UserInterface;

/** Gives the gym the numbering it had before. */
final readonly class UndoChosenNumbering implements UndoesChange
{
    public function __construct(private GymNumberings $numberings)
    {
    }

    public function kind(): string
    {
        return GymNumberings::CHOSEN;
    }

    public function undo(array $before, UserInterface $user): void
    {
        if (\is_string($before['numbering'] ?? null) && $user instanceof User) {
            $this->numberings->useForGym($this->numberings->named($before['numbering']), $user);
        }
    }
}
