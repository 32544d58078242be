<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warning;

use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Load\TrackLoad;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** The input of a warning: the plan, its programme, and the loads of athletes of both stances. */
final readonly class WarningContext
{
    /** @param list<TrackLoad> $loads */
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
        return null === $track
            ? t('{stance} athletes', stance: $stance->value)
            : t('{stance} athletes of {track}', stance: $stance->value, track: $this->plan->tracks[$track]->name);
    }

    /**
     * Returns one sentence for those whose number is above the threshold; both stances together where it is the same.
     *
     * @param \Closure(Load): float $number
     * @param \Closure(float): string $what the number in words: "120 strikes to the head of a partner"
     *
     * @return list<string>
     */
    public function above(WarningDefinition $warning, \Closure $number, \Closure $what): array
    {
        $found = [];
        foreach ($this->loads as $load) {
            $is = $number($load->load);
            if ($is > $this->threshold($warning)) {
                $found[$what(round($is))][$load->track ?? -1][] = $load->stance;
            }
        }
        $sentences = [];
        foreach ($found as $sentence => $tracks) {
            foreach ($tracks as $track => $stances) {
                $of = $track < 0 ? null : $track;
                $who =
                    2 === \count($stances)
                        ? (null === $of
                            ? t('each athlete')
                            : t('each athlete of {track}', track: $this->plan->tracks[$of]->name))
                        : $this->who($of, $stances[0]);
                $sentences[] = t(
                    '{sentence} for {who}; this gym says at most {threshold}.',
                    sentence: ucfirst($sentence),
                    who: $who,
                    threshold: number_format((float) $this->threshold($warning)),
                );
            }
        }

        return $sentences;
    }
}
