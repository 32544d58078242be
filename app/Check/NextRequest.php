<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A text, how it is to be checked, and after which of its items something is to follow; after the last when null. */
final readonly class NextRequest extends CheckRequest
{
    public function __construct(
        string $text,
        Stance $stance = Stance::Orthodox,
        Stance $opponent = Stance::Orthodox,
        string $rules = 'all-limbs',
        string $numbering = 'parity',
        float $tempo = 1.0,
        Medium $medium = Medium::Shadow,
        Group $group = Group::Open,
        string $athlete = Athlete::DEFAULT,
        ?float $heightCm = null,
        ?float $stanceCm = null,
        #[Assert\PositiveOrZero(message: 'A place in the chain is counted from 0.')]
        public ?int $after = null,
    ) {
        parent::__construct($text, $stance, $opponent, $rules, $numbering, $tempo, $medium, $group, $athlete, $heightCm, $stanceCm);
    }
}
