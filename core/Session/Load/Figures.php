<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Load;

use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

/**
 * What can be added up over sessions: strikes and repetitions by name, and ms in each stance. It serialises as a map
 * with keys such as "side left" and "weapon hook", to a thousandth.
 */
final readonly class Figures implements \JsonSerializable
{
    /** @param array<string, float> $values by key */
    private function __construct(private array $values)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @param array<string, float|int> $stored as it was serialised */
    public static function stored(array $stored): self
    {
        return new self(array_map(floatval(...), $stored));
    }

    public static function ofLoad(Load $load): self
    {
        $values = [
            'repetitions' => $load->repetitions,
            'strikes' => $load->strikes,
            'free' => $load->free,
            'openings' => $load->openings,
            'openings jab' => $load->jabOpenings,
        ];
        $kinds = [
            'side' => $load->bySide,
            'limb' => $load->byLimb,
            'limb of side' => $load->byLimbOfSide,
            'weapon' => $load->byWeapon,
            'strike' => $load->byStrike,
            'target' => $load->byTarget,
            'stance' => $load->stanceMs,
        ];
        foreach ($kinds as $kind => $numbers) {
            foreach ($numbers as $name => $number) {
                $values[$kind.' '.$name] = $number;
            }
        }

        return new self($values);
    }

    public function plus(self $other): self
    {
        $values = $this->values;
        foreach ($other->values as $key => $value) {
            $values[$key] = ($values[$key] ?? 0.0) + $value;
        }

        return new self($values);
    }

    public function strikes(): float
    {
        return $this->values['strikes'] ?? 0.0;
    }

    public function repetitions(): float
    {
        return $this->values['repetitions'] ?? 0.0;
    }

    /** Returns the free strikes, whose side is unknown. */
    public function free(): float
    {
        return $this->values['free'] ?? 0.0;
    }

    /** Returns the repetitions that start with a strike. */
    public function openings(): float
    {
        return $this->values['openings'] ?? 0.0;
    }

    /** Returns the repetitions that start with a jab. */
    public function jabOpenings(): float
    {
        return $this->values['openings jab'] ?? 0.0;
    }

    public function side(Side $side): float
    {
        return $this->values['side '.$side->value] ?? 0.0;
    }

    public function limb(Limb $limb): float
    {
        return $this->values['limb '.$limb->value] ?? 0.0;
    }

    /** Returns what that limb of that side threw; 0 also for sessions of earlier versions, which did not count it. */
    public function limbOfSide(Side $side, Limb $limb): float
    {
        return $this->values['limb of side '.$side->value.' '.$limb->value] ?? 0.0;
    }

    public function target(Target $target): float
    {
        return $this->values['target '.$target->word()] ?? 0.0;
    }

    public function stanceMs(Stance $stance): float
    {
        return $this->values['stance '.$stance->value] ?? 0.0;
    }

    /** @param string $family of strikes, such as "hook" */
    public function weapon(string $family): float
    {
        return $this->values['weapon '.$family] ?? 0.0;
    }

    /** @param string $id of a strike, such as "jab" */
    public function strike(string $id): float
    {
        return $this->values['strike '.$id] ?? 0.0;
    }

    /** @return \ArrayObject<string, float> an object in JSON, also when it is empty */
    public function jsonSerialize(): \ArrayObject
    {
        return new \ArrayObject(array_map(static fn (float $value): float => round($value, 3), $this->values));
    }
}
