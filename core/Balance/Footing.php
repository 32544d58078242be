<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

use Periplus\Core\Technique\Data;

/** House values for how people stand and lift a leg, from core/data/balance.json, which gives the units. */
final readonly class Footing
{
    /**
     * @param array<string, float> $heights of the built-in athletes by id, m
     * @param array{height: array{least: float, most: float}, stance: array{least: float, most: float}} $limits m
     */
    public function __construct(
        public float $gravity,
        public float $crouch,
        public float $stanceShare,
        public float $frontFoot,
        public float $backFoot,
        public float $standingFoot,
        public float $lift,
        public float $stepPerBand,
        public float $guard,
        public array $heights,
        private array $limits,
    ) {
    }

    public static function builtIn(): self
    {
        /** @var self|null $footing */
        static $footing = null;

        return $footing ??= self::read();
    }

    /** @throws \DomainException when the height or the stance is outside of its bounds */
    public function requireAthlete(float $height, float $stance): void
    {
        $values = ['height' => ['body height', $height], 'stance' => ['stance length', $stance]];
        foreach ($values as $key => [$what, $value]) {
            ['least' => $least, 'most' => $most] = $this->limits[$key];
            if ($value < $least || $value > $most) {
                throw new \DomainException(
                    \sprintf('The %s is %.2f to %.2f m, not %.2f.', $what, $least, $most, $value),
                );
            }
        }
    }

    private static function read(): self
    {
        /**
         * @var array{
         *     values: array<string, array{value: int|float}>,
         *     athletes: list<array{id: string, height: float}>,
         *     limits: array{height: array{least: float, most: float}, stance: array{least: float, most: float}},
         * } $data
         */
        $data = Data::read('balance');
        $value = static fn (string $name): float => (float) $data['values'][$name]['value'];

        return new self(
            gravity: $value('gravity'),
            crouch: $value('crouch'),
            stanceShare: $value('stanceShare'),
            frontFoot: $value('frontFoot'),
            backFoot: $value('backFoot'),
            standingFoot: $value('standingFoot'),
            lift: $value('lift'),
            stepPerBand: $value('stepPerBand'),
            guard: $value('guard'),
            heights: array_column($data['athletes'], 'height', 'id'),
            limits: $data['limits'],
        );
    }
}
