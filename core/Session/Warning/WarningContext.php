<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warning;

use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Technique\Stance;

/** The input of a warning: the plan, its programme, and the loads of athletes of both stances. */
final readonly class WarningContext
{
    /** @param list<array{int|null, Stance, Load}> $loads by track and stance */
    public function __construct(public SessionPlan $plan, public Programme $programme, public array $loads)
    {
    }

    public function threshold(WarningDefinition $warning): int|float
    {
        return $this->plan->rules->threshold($warning->id) ?? $warning->threshold->default;
    }

    /** Returns the athletes as named in a sentence: "southpaw athletes", "southpaw athletes of Level 1". */
    public function who(?int $track, Stance $stance): string
    {
        return $stance->value.' athletes'.(null === $track ? '' : ' of '.$this->plan->tracks[$track]->name);
    }

    /**
     * Returns one sentence for those whose number is above the threshold; both stances together where it is the same.
     *
     * @param \Closure(Load): float $number
     * @param string $what with a place for the number: "%s strikes to the head of a partner"
     *
     * @return list<string>
     */
    public function above(WarningDefinition $warning, \Closure $number, string $what): array
    {
        $found = [];
        foreach ($this->loads as [$track, $stance, $load]) {
            $is = $number($load);
            if ($is > $this->threshold($warning)) {
                $found[\sprintf($what, number_format(round($is)))][$track ?? -1][] = $stance;
            }
        }
        $sentences = [];
        foreach ($found as $sentence => $tracks) {
            foreach ($tracks as $track => $stances) {
                $of = $track < 0 ? null : $track;
                $who =
                    2 === \count($stances)
                        ? 'each athlete'.(null === $of ? '' : ' of '.$this->plan->tracks[$of]->name)
                        : $this->who($of, $stances[0]);
                $sentences[] = \sprintf(
                    '%s for %s; this gym says at most %s.',
                    ucfirst($sentence),
                    $who,
                    number_format((float) $this->threshold($warning)),
                );
            }
        }

        return $sentences;
    }
}
