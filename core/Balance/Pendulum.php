<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

/**
 * The linear inverted pendulum: a mass at constant height over a point of pressure p, x'' = omega0^2 (x - p) with
 * omega0 = sqrt(g / l). For a constant pressure its motion is known in closed form, so a piece of any length is one
 * evaluation. Lengths in m, times in s.
 *
 * The extrapolated centre of mass is xi = x + v / omega0, and xi - p grows by e^(omega0 t).
 * Sources: A. L. Hof, M. G. J. Gazendam, W. E. Sinke, The condition for dynamic stability, Journal of Biomechanics 38,
 * 2005, 1-8; A. L. Hof, The 'extrapolated center of mass' concept suggests a simple control of balance in walking,
 * Human Movement Science 27, 2008, 112-125.
 */
final readonly class Pendulum
{
    public function __construct(public float $omega)
    {
        if ($omega <= 0.0) {
            throw new \DomainException('A pendulum has a rate above zero.');
        }
    }

    /** @param float $height of the centre of mass, m */
    public static function ofHeight(float $height, float $gravity): self
    {
        return new self(sqrt($gravity / $height));
    }

    /** Returns the factor by which the distance to a constant pressure grows in that time. */
    public function growth(float $seconds): float
    {
        return exp($this->omega * $seconds);
    }

    /** Returns the motion after the pressure has held for the time that belongs to the growth factor. */
    public function after(Motion $from, float $pressure, float $growth): Motion
    {
        return new Motion(
            self::placeAfter($from->x, $from->xi, $pressure, $growth),
            $pressure + ($from->xi - $pressure) * $growth,
        );
    }

    /** Returns the position of the mass alone; see {@see after}. */
    public static function placeAfter(float $x, float $xi, float $pressure, float $growth): float
    {
        // cosh and sinh of omega0 t, and v / omega0 = xi - x.
        $shrink = 1 / $growth;

        return $pressure + ($x - $pressure) * ($growth + $shrink) / 2 + ($xi - $x) * ($growth - $shrink) / 2;
    }

    /**
     * Returns the constant pressure that moves the extrapolated centre of mass from one position to another while it
     * grows by that factor.
     */
    public function pressureFor(float $from, float $to, float $growth): float
    {
        return ($to - $from * $growth) / (1 - $growth);
    }

    public function moving(float $x, float $velocity): Motion
    {
        return new Motion($x, $x + $velocity / $this->omega);
    }

    /** Returns the velocity in m/s. */
    public function velocity(Motion $motion): float
    {
        return ($motion->xi - $motion->x) * $this->omega;
    }
}
