<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\FromAbove\DrawnMoment;
use Periplus\Core\FromAbove\DrawnPart;
use Periplus\Core\FromAbove\ViewDrawer;
use Periplus\Core\FromAbove\ViewFromAbove;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Where everybody stands, worked out by hand from the model's own numbers, and facts of the trade. */
final class FromAboveTest extends TestCase
{
    /**
     * For an athlete of 174 cm: the feet are 0.30 * 174 = 52.2 cm apart along the line and 0.16 * 174 = 27.8 cm across
     * it, so a foot is 26.1 cm in front of or behind the middle and 13.9 cm beside it. The middles of both stances are
     * 35 cm apart in the clinch and 30 cm more for each band: 65 for hooks, 95 for straights, 125 for kicks, 155 out of
     * range. x to the right, y down, from the opponent; orthodox against orthodox.
     *
     * @return iterable<string, array{
     *     string,
     *     int,
     *     array{float, float, float},
     *     array{float, float, float}|null,
     *     int,
     *     int,
     * }>
     */
    public static function worked(): iterable
    {
        // Straight ahead: 95 - 26.1 and 95 + 26.1; the front foot points 10 degrees to the rear side, the other 40.
        yield 'a jab' => ['1', 1, [-13.9, 68.9, 10], [13.9, 121.1, 40], 95, 0];
        // One band nearer: 65 - 26.1 and 65 + 26.1.
        yield 'a hook is drifted to' => ['1 2 3b', 3, [-13.9, 38.9, 10], [13.9, 91.1, 40], 65, 0];
        yield 'a slip moves no foot' => ['1 slip lead', 2, [-13.9, 68.9, 10], [13.9, 121.1, 40], 95, 0];
        yield 'a step in' => ['1 step in', 2, [-13.9, 38.9, 10], [13.9, 91.1, 40], 65, 0];
        // 30 to the left: atan(30 / 95) = 17.5 degrees, hypot(30, 95) = 99.6. Ahead is (0.301, -0.954), to the left
        // (-0.954, -0.301): (-30, 95) + 26.1 * ahead + 13.9 * left, and the other foot opposite.
        yield 'a step to the lead side' => ['1 step lead', 2, [-35.4, 65.9, 27.5], [-24.6, 124.1, 57.5], 100, 17];
        // 60 degrees round the front foot, which stays at (-13.9, 68.9). Ahead is (0.866, -0.5), to the right
        // (0.5, 0.866): the middle is the foot - 26.1 * ahead + 13.9 * right = (-29.6, 94.0), the rear foot as much
        // further. atan(29.6 / 94.0) = 17.5, hypot = 98.5.
        yield 'a pivot' => ['1 pivot out', 2, [-13.9, 68.9, 70], [-45.2, 119.1, 100], 99, 17];
        // 30 degrees round the opponent: 95 * sin 30 = 47.5 to the left, 95 * cos 30 = 82.3 down.
        // Ahead is (0.5, -0.866), to the left (-0.866, -0.5).
        yield 'a circle' => ['1 circle lead', 2, [-46.5, 52.7, 40], [-48.5, 111.9, 70], 95, 30];
        // Two bands out, 155, and 30 to the right: atan(30 / 155) = 11.0, hypot = 157.9. Ahead is (-0.190, -0.982), to
        // the left (-0.982, 0.190).
        yield 'an exit to the rear side' => ['1 exit rear', 2, [11.4, 132.0, -1], [48.6, 178.0, 29], 158, 11];
        // The other foot leads: all is mirrored on the same spot.
        yield 'a switch' => ['1 switch', 2, [13.9, 68.9, -10], [-13.9, 121.1, -40], 95, 0];
        // The standing foot turns 60 degrees away from the leg that swings: 10 - 60.
        yield 'a rear round kick' => ['1 14l', 2, [-13.9, 68.9, -50], null, 95, 0];
    }

    /**
     * @param array{float, float, float} $lead x, y in cm, direction in degrees
     * @param array{float, float, float}|null $rear null while it strikes
     */
    #[DataProvider('worked')]
    public function testFeetStandWhereTheHandCalculationPutsThem(
        string $chain,
        int $place,
        array $lead,
        ?array $rear,
        int $distance,
        int $angle,
    ): void {
        foreach (Stance::cases() as $stance) {
            $moment = self::view($chain, $stance, $stance)->moments[$place];
            $mirror = Stance::Orthodox === $stance ? 1 : -1;
            foreach ([[Role::Lead, $lead], [Role::Rear, $rear]] as [$role, $expected]) {
                $foot = self::foot($moment->us, $role);
                if (null === $expected) {
                    self::assertNull($foot);
                    continue;
                }
                self::assertNotNull($foot);
                self::assertEqualsWithDelta($mirror * $expected[0], $foot->x, 2.0, $stance->value);
                self::assertEqualsWithDelta($expected[1], $foot->y, 2.0, $stance->value);
                self::assertEqualsWithDelta($mirror * $expected[2], $foot->turn, 2.0, $stance->value);
            }
            self::assertEqualsWithDelta($distance, $moment->distanceCm, 2.0);
            self::assertEqualsWithDelta($angle, $moment->angle, 2.0);
        }
    }

    /** After a rear kick that lands in front the other foot leads, one band nearer: 65 - 26.1. */
    public function testAKickThatLandsInFrontChangesTheFeet(): void
    {
        $landed = self::view('1 14l>', Stance::Orthodox, Stance::Orthodox)->moments[3];
        self::assertTrue($landed->landed);
        $lead = self::foot($landed->us, Role::Lead);
        self::assertNotNull($lead);
        self::assertFalse($lead->isLeft);
        self::assertEqualsWithDelta(13.9, $lead->x, 2.0);
        self::assertEqualsWithDelta(38.9, $lead->y, 2.0);
    }

    /**
     * In an open guard the front foot stands outside theirs; in a closed guard the front feet pass each other. Common
     * practice, no source.
     */
    #[TestWith(['orthodox'])]
    #[TestWith(['southpaw'])]
    public function testTheFrontFootIsOutsideTheirsInAnOpenGuard(string $ours): void
    {
        $stance = Stance::from($ours);
        $side = Stance::Orthodox === $stance ? -1 : 1;
        $open = self::view('1', $stance, $stance->other());
        self::assertGreaterThan(
            5.0,
            $side * self::leadX($open->moments[0]->us) - $side * self::leadX($open->opponents[0]->parts),
        );
        $closed = self::view('1', $stance, $stance);
        self::assertGreaterThan(0.0, $side * self::leadX($closed->moments[0]->us));
        self::assertLessThan(0.0, $side * self::leadX($closed->opponents[0]->parts));
    }

    /**
     * The way out is away from the rear hand: a step there leaves what it reaches, a step toward it does not. Common
     * practice, no source.
     */
    #[TestWith(['orthodox', 'orthodox', 'step rear', 'step lead'])]
    #[TestWith(['southpaw', 'southpaw', 'step rear', 'step lead'])]
    #[TestWith(['orthodox', 'southpaw', 'step lead', 'step rear'])]
    #[TestWith(['southpaw', 'orthodox', 'step lead', 'step rear'])]
    public function testAStepAwayFromTheRearHandLeavesItsReach(
        string $ours,
        string $theirs,
        string $away,
        string $toward,
    ): void {
        $last = static fn (string $chain): DrawnMoment => self::view(
            $chain,
            Stance::from($ours),
            Stance::from($theirs),
        )->moments[3];
        self::assertFalse($last('1 2 '.$away)->isReached);
        self::assertTrue($last('1 2 '.$toward)->isReached);
    }

    /** Who exchanges in front of an opponent is in reach of their rear hand. Common practice, no source. */
    public function testInFrontOfThemTheRearHandReachesAndOutOfRangeItDoesNot(): void
    {
        $moments = self::view('1 2 3 exit', Stance::Orthodox, Stance::Orthodox)->moments;
        self::assertTrue($moments[1]->isReached && $moments[2]->isReached && $moments[3]->isReached);
        self::assertFalse($moments[4]->isReached);
    }

    /** A pivot turns on the front foot, which stays where it is. Common practice, no source. */
    #[TestWith(['pivot out'])]
    #[TestWith(['pivot in'])]
    public function testTheFrontFootOfAPivotStays(string $pivot): void
    {
        $moments = self::view('2 '.$pivot, Stance::Orthodox, Stance::Orthodox)->moments;
        [$before, $after] = [self::foot($moments[1]->us, Role::Lead), self::foot($moments[2]->us, Role::Lead)];
        self::assertNotNull($before);
        self::assertNotNull($after);
        self::assertEqualsWithDelta($before->x, $after->x, 0.2);
        self::assertEqualsWithDelta($before->y, $after->y, 0.2);
        self::assertGreaterThan(40.0, abs($after->turn - $before->turn));
        self::assertGreaterThan(10, $moments[2]->angle, 'They have to turn to face the athlete.');
    }

    /**
     * The liver is on the opponent's right, which we see on the left: the lead hook of an orthodox athlete comes round
     * that side, that of a southpaw the other. Source of the anatomy: Gray's Anatomy; from memory.
     */
    public function testALiverHookIsLostInTheMirror(): void
    {
        $liver = self::view('3b', Stance::Orthodox, Stance::Orthodox);
        self::assertTrue($liver->moments[1]->blow?->isLiver);
        self::assertEqualsWithDelta($liver->opponents[0]->liverX, $liver->moments[1]->blow->x, 0.2);
        $spleen = self::view('3b', Stance::Southpaw, Stance::Orthodox);
        self::assertTrue($spleen->moments[1]->blow?->isSpleen);
        self::assertGreaterThan(0.0, $spleen->moments[1]->blow->x);
        self::assertLessThan(0.0, $spleen->opponents[0]->liverX);
    }

    private static function view(string $text, Stance $stance, Stance $opponent): ViewFromAbove
    {
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'));
        $result = Check::builtIn()->run(Chains::inStance($text, $stance), $options);

        return ViewDrawer::draw($result->inStance, $result->timing, $result->sway, $options->athlete)
            ->inStance($stance)
            ->against($opponent)
            ->views[0];
    }

    /** @param list<DrawnPart> $parts */
    private static function foot(array $parts, Role $role): ?DrawnPart
    {
        foreach ($parts as $part) {
            if ('foot' === $part->part && $part->role === $role) {
                return $part;
            }
        }

        return null;
    }

    /** @param list<DrawnPart> $parts */
    private static function leadX(array $parts): float
    {
        return self::foot($parts, Role::Lead)->x ?? 0.0;
    }
}
