<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/**
 * A strike of the catalogue. Times in ms, load as the share of the weight on the lead foot (0..1), turn of hips and
 * shoulders (-1..1). Units and sources are in core/data/techniques.json.
 */
final readonly class Strike
{
    /**
     * @param string $sign a letter and a digit that stand for it in stored sequences, never used for another
     * @param non-empty-list<Target> $targets the first is the default
     * @param array{any: non-empty-list<int>, head?: non-empty-list<int>} $ranges bands 1..5
     * @param Window|null $needsTurnHead the turn it needs to the head, where that is another
     * @param bool $rare not of every week: offered after what is thrown every day
     * @param Role|null $standsOn the foot that stands while a leg strikes; null for both feet
     * @param list<StrikeTrait> $traits
     * @param list<string> $turnsInto families into which the same hand turns over without coming home
     * @param string|null $topic of its reminders, where it is not that of its family
     */
    public function __construct(
        public string $id,
        public string $sign,
        public string $name,
        public string $family,
        public Limb $limb,
        public Role $role,
        public Path $path,
        public array $targets,
        public int $out,
        public int $back,
        public Window $needsLoad,
        private Window $needsTurn,
        private ?Window $needsTurnHead,
        public float $leavesLoad,
        public float $leavesTurn,
        public float $frontFootLoad,
        public array $ranges,
        public ?Role $standsOn,
        public ?Carry $carry,
        public bool $rare = false,
        private array $traits = [],
        public ?string $topic = null,
        public array $turnsInto = [],
    ) {
    }

    public function has(StrikeTrait $trait): bool
    {
        return \in_array($trait, $this->traits, true);
    }

    public function defaultTarget(): Target
    {
        return $this->targets[0];
    }

    public function needsTurn(Target $target): Window
    {
        return Target::Head === $target && null !== $this->needsTurnHead ? $this->needsTurnHead : $this->needsTurn;
    }

    /** Returns a short name for a small key: without its side, shortened where still clear. */
    public function shortName(): string
    {
        return strtr($this->family, ['spinning' => 'spin', 'downward' => 'down', 'upward' => 'up', ' hook' => '']);
    }

    /** Tells whether the body turns around by the back. */
    public function spins(): bool
    {
        return Path::Spinning === $this->path;
    }

    /** Tells whether the other leg stands from start to end: neither a switch of the feet, a leap nor a spin. */
    public function startsOnOneLeg(): bool
    {
        return null !== $this->standsOn
            && !$this->spins()
            && !$this->has(StrikeTrait::UnderBody)
            && !$this->has(StrikeTrait::Leaps);
    }

    /** Tells whether it is a round kick of either leg, with or without a switch of the feet. */
    public function isRoundKick(): bool
    {
        return Limb::Leg === $this->limb && Path::Circular === $this->path;
    }

    /** @return non-empty-list<int> the bands it reaches at that target, in rising order */
    public function ranges(Target $target): array
    {
        return Target::Head === $target && isset($this->ranges['head']) ? $this->ranges['head'] : $this->ranges['any'];
    }
}
