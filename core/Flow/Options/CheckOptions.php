<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Options;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * The options of a check: house rules, tempo, medium, group, opponent, and the purpose of the round, if it has one. The
 * tempo multiplies durations: 1.6 learning, 1.0 working, 0.8 fast.
 */
final readonly class CheckOptions
{
    public const SLOWEST = 3.0;
    public const FASTEST = 0.5;

    public Athlete $athlete;

    public function __construct(
        public HouseRules $rules,
        public float $tempo = 1.0,
        public Medium $medium = Medium::Shadow,
        public Group $group = Group::Open,
        ?Athlete $athlete = null,
        public Stance $opponent = Stance::Orthodox,
        public ?Purpose $purpose = null,
    ) {
        $this->athlete = $athlete ?? Athlete::named(Athlete::DEFAULT);
        if ($tempo < self::FASTEST || $tempo > self::SLOWEST) {
            throw new \DomainException(
                t(
                    'The tempo is {fastest} to {slowest}, not {tempo}.',
                    fastest: self::FASTEST,
                    slowest: self::SLOWEST,
                    tempo: $tempo,
                ),
            );
        }
    }

    public function atTempo(float $tempo): self
    {
        return new self(
            rules: $this->rules,
            tempo: $tempo,
            medium: $this->medium,
            group: $this->group,
            athlete: $this->athlete,
            opponent: $this->opponent,
            purpose: $this->purpose,
        );
    }
}
