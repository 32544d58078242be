<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Periplus\App\Account\User;
use Periplus\App\Audit\UndoesChange;
use Symfony\Component\Security\Core\User\UserInterface;

/** Gives the calls the voice they had before. */
final readonly class UndoChangedVoice implements UndoesChange
{
    public function __construct(private Clips $clips)
    {
    }

    public function kind(): string
    {
        return Clips::VOICE_CHANGED;
    }

    public function undo(array $before, UserInterface $user): void
    {
        /**
         * @var array{
         *     voice: string,
         *     pace: string,
         *     loudness: string,
         *     says?: string,
         *     timeCalls?: list<string>,
         *     perSet?: bool,
         * } $before
         */
        if ($user instanceof User) {
            $this->clips->use(new VoiceSettings(...$before), $user);
        }
    }
}
