<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Security\Core\User\UserInterface;

/** Undoes a kind of change that concerns the whole gym. */
#[AutoconfigureTag]
interface UndoesChange
{
    /** Returns the kind of change as in the audit log, such as "numbering.chosen". */
    public function kind(): string;

    /**
     * Undoes the change, as another change with its own entry.
     *
     * @param array<string, mixed> $before what the entry has kept
     * @param UserInterface $user who undoes it
     */
    public function undo(array $before, UserInterface $user): void;
}
