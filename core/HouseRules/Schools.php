<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** The gym's answers to the questions on which coaches disagree. */
final readonly class Schools
{
    public function __construct(
        public LeadHook $leadHook = LeadHook::BackFoot,
        public HandSide $handSide = HandSide::Any,
        public HandTiming $handTiming = HandTiming::Any,
        public Ending $ending = Ending::Move,
        public HardStrikes $hardStrikes = HardStrikes::Last,
        public JabStep $jabStep = JabStep::In,
    ) {
    }

    /** @return array<string, class-string<School&\BackedEnum>> the schools by name */
    public static function all(): array
    {
        return [
            'leadHook' => LeadHook::class,
            'handSide' => HandSide::class,
            'handTiming' => HandTiming::class,
            'ending' => Ending::class,
            'hardStrikes' => HardStrikes::class,
            'jabStep' => JabStep::class,
        ];
    }

    /**
     * @param array{
     *     leadHook: string,
     *     handSide: string,
     *     handTiming: string,
     *     ending: string,
     *     hardStrikes: string,
     *     jabStep?: string,
     * } $row
     */
    public static function of(array $row): self
    {
        return new self(
            LeadHook::from($row['leadHook']),
            HandSide::from($row['handSide']),
            HandTiming::from($row['handTiming']),
            Ending::from($row['ending']),
            HardStrikes::from($row['hardStrikes']),
            // House rules that were stored before this question existed get the usual answer.
            JabStep::from($row['jabStep'] ?? JabStep::In->value),
        );
    }

    /**
     * @return array{
     *     leadHook: string,
     *     handSide: string,
     *     handTiming: string,
     *     ending: string,
     *     hardStrikes: string,
     *     jabStep: string,
     * }
     */
    public function toArray(): array
    {
        return [
            'leadHook' => $this->leadHook->value,
            'handSide' => $this->handSide->value,
            'handTiming' => $this->handTiming->value,
            'ending' => $this->ending->value,
            'hardStrikes' => $this->hardStrikes->value,
            'jabStep' => $this->jabStep->value,
        ];
    }
}
