<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Log;

use Periplus\Core\Session\Load\Figures;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Finds what a coach should know about several weeks of work, in one sentence each. House values; common practice, no
 * source.
 */
final readonly class LoadFindings
{
    /** Share of the strikes from which one side does too much. */
    private const MAX_SIDE_SHARE = 0.6;
    /** Share below which a target, the other stance or the legs count as neglected. */
    private const MIN_TARGET_SHARE = 0.08;
    private const MIN_STANCE_SHARE = 0.1;
    /** Range of the usual share of jabs among the opening strikes. */
    private const JAB_SHARES = [0.35, 0.85];
    /** Minimum number of strikes for a finding. */
    private const MIN_STRIKES = 100;

    /** @return list<string> */
    public static function find(Figures $figures): array
    {
        if ($figures->strikes() < self::MIN_STRIKES) {
            return [];
        }
        $findings = [];
        [$left, $right] = [$figures->side(Side::Left), $figures->side(Side::Right)];
        $share = $left + $right > 0 ? max($left, $right) / ($left + $right) : 0.5;
        if ($share > self::MAX_SIDE_SHARE) {
            $findings[] = t(
                'The {word} side throws {share} % of the strikes. Rounds in the other stance even it out.',
                word: $left > $right ? 'left' : 'right',
                share: round(100 * $share),
            );
        }
        $body = $figures->target(Target::Body);
        $leg = $figures->target(Target::Leg);
        $all = $figures->target(Target::Head) + $body + $leg;
        $legs = $figures->limb(Limb::Leg) + $figures->limb(Limb::Knee);
        if ($all > 0 && $body / $all < self::MIN_TARGET_SHARE) {
            $findings[] = t(
                'The body gets {body} % of what lands. Chains that change height are missing.',
                body: round((100 * $body) / $all),
            );
        }
        if ($legs > 0 && $all > 0 && $leg / $all < self::MIN_TARGET_SHARE / 4) {
            $findings[] = t('Kicks are thrown, and hardly any to the leg.');
        }
        [$orthodox, $southpaw] = [$figures->stanceMs(Stance::Orthodox), $figures->stanceMs(Stance::Southpaw)];
        $other = $orthodox + $southpaw > 0 ? min($orthodox, $southpaw) / ($orthodox + $southpaw) : 0.5;
        if ($other < self::MIN_STANCE_SHARE) {
            $findings[] = t(
                'Only {other} % of the minutes are in the {word} stance.',
                other: round(100 * $other),
                word: $orthodox > $southpaw ? 'southpaw' : 'orthodox',
            );
        }
        $openings = $figures->openings();
        $jabs = $openings > 0 ? $figures->jabOpenings() / $openings : null;
        if (null !== $jabs && $jabs > self::JAB_SHARES[1]) {
            $findings[] = t(
                '{jabs} % of the repetitions open with a jab: opponents will know what comes first.',
                jabs: round(100 * $jabs),
            );
        }
        if (null !== $jabs && $jabs < self::JAB_SHARES[0]) {
            $findings[] = t('Only {jabs} % of the repetitions open with a jab.', jabs: round(100 * $jabs));
        }

        return $findings;
    }
}
