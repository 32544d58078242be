<?php

declare(strict_types=1);

namespace Periplus\App\Words;

use Periplus\App\Account\User;
use Periplus\App\Audit\UndoesChange;
use Periplus\Core\Notation\Glue;
use Symfony\Component\Security\Core\User\UserInterface;

/** Passes over the words that the gym passed over before. */
final readonly class UndoChangedWords implements UndoesChange
{
    public function __construct(private GymWords $words)
    {
    }

    public function kind(): string
    {
        return GymWords::CHANGED;
    }

    public function undo(array $before, UserInterface $user): void
    {
        if ($user instanceof User && \is_array($before['own'] ?? null) && \is_array($before['kept'] ?? null)) {
            $this->words->store(
                $this->words->row()->version(),
                new Glue(self::texts($before['own']), self::texts($before['kept'])),
                $user,
            );
        }
    }

    /**
     * @param array<mixed> $words
     *
     * @return list<string>
     */
    private static function texts(array $words): array
    {
        return array_values(array_filter($words, is_string(...)));
    }
}
