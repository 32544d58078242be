<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Options;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Technique\Stance;

/**
 * How a text is to be read and checked. A height or a stance length of its own, in cm, goes before the
 * named athlete's; rules and numbering are the gym's own or the id of a built-in one.
 * What is answered is written in the numbering of the text, or in the one it is to be read in.
 */
final readonly class CheckOptions
{
    public function __construct(
        public Stance $stance = Stance::Orthodox,
        public Stance $opponent = Stance::Orthodox,
        public HouseRules|string $rules = 'all-limbs',
        public Numbering|string $numbering = 'parity',
        public float $tempo = 1.0,
        public Medium $medium = Medium::Shadow,
        public Group $group = Group::Open,
        public string $athlete = Athlete::DEFAULT,
        public ?float $heightCm = null,
        public ?float $stanceCm = null,
        public ?Numbering $readIn = null,
        /** @var list<LineSize> */
        public array $draw = [],
    ) {
    }

    /** @throws \DomainException|\OutOfBoundsException when the rules, the tempo or the athlete are not to be had */
    public function circumstances(): Circumstances
    {
        return new Circumstances($this->rules instanceof HouseRules ? $this->rules : BuiltInHouseRules::named($this->rules), $this->tempo, $this->medium, $this->group, $this->athlete());
    }

    private function athlete(): Athlete
    {
        $named = Athlete::named($this->athlete);

        return null === $this->heightCm && null === $this->stanceCm
            ? $named
            : Athlete::of(null === $this->heightCm ? $named->height : $this->heightCm / 100, null === $this->stanceCm ? null : $this->stanceCm / 100);
    }

    /** @throws \OutOfBoundsException */
    public function numbering(): Numbering
    {
        return $this->numbering instanceof Numbering ? $this->numbering : Numbering::named($this->numbering);
    }

    /** The numbering of the answer. */
    public function writtenIn(): Numbering
    {
        return $this->readIn ?? $this->numbering();
    }
}
