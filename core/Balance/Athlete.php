<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

/** An athlete's height and stance, and the lengths that follow from them. Lengths in m. */
final readonly class Athlete
{
    public const DEFAULT = 'middle';

    public Pendulum $pendulum;
    /** From the middle of a foot to its edge along the line: in front, behind, and standing alone. */
    public float $frontFoot;
    public float $backFoot;
    public float $standingFoot;
    /** How far the centre of mass moves in front of the hips when an arm, a leg or a knee is extended. */
    public float $armOut;
    public float $legOut;
    public float $kneeUp;

    /**
     * @param float $height m
     * @param float $stance from the middle of one foot to the middle of the other, m
     */
    public function __construct(
        public float $height,
        public float $stance,
        SegmentTable $table,
        public Footing $footing,
    ) {
        $footing->requireAthlete($height, $stance);
        $this->pendulum = Pendulum::ofHeight($height * $table->centreHeight() * $footing->crouch, $footing->gravity);
        $foot = $table->footLength() * $height;
        $this->frontFoot = $footing->frontFoot * $foot;
        $this->backFoot = $footing->backFoot * $foot;
        $this->standingFoot = $footing->standingFoot * $foot;
        $forearm = $table->segments['forearm']->mass + $table->segments['hand']->mass;
        $this->armOut = $table->armOut() * $height - $forearm * $footing->guard;
        $this->legOut = $table->legOut() * $height;
        $this->kneeUp = $table->kneeUp() * $height;
    }

    /** @param float|null $stance m; the usual for that height when null */
    public static function of(float $height, ?float $stance = null): self
    {
        $footing = Footing::builtIn();

        return new self($height, $stance ?? $footing->stanceShare * $height, SegmentTable::builtIn(), $footing);
    }

    /** @throws \OutOfBoundsException */
    public static function named(string $id): self
    {
        /** @var array<string, self> $athletes */
        static $athletes = [];

        return $athletes[$id] ??= self::of(
            Footing::builtIn()->heights[$id]
                ?? throw new \OutOfBoundsException(
                    \sprintf('There is no athlete "%s"; there is %s.', $id, implode(', ', self::ids())),
                ),
        );
    }

    /**
     * Returns the named athlete, with another height or stance length where one is given.
     *
     * @throws \OutOfBoundsException
     */
    public static function sized(string $id, ?float $heightCm, ?float $stanceCm): self
    {
        $named = self::named($id);

        return null === $heightCm && null === $stanceCm
            ? $named
            : self::of(
                null === $heightCm ? $named->height : $heightCm / 100,
                null === $stanceCm ? null : $stanceCm / 100,
            );
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(Footing::builtIn()->heights);
    }
}
