<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Measure;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Measure\Alignment;
use Periplus\Core\Measure\Contacts;
use Periplus\Core\Measure\MeasuredLink;
use Periplus\Core\Measure\MeasuredVerdict;
use Periplus\Core\Measure\Measurement;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Taps are assigned to strikes, and the times between them are evaluated. */
final class AlignmentTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string}> */
    public static function chains(): iterable
    {
        foreach (['1 2', '1 2 3', '1 2 3 2', '1 1 2 3b', '1 2 slip right 2 3', '1 2 14l', '(1) 2 3 2'] as $chain) {
            yield $chain => [$chain];
        }
    }

    #[DataProvider('chains')]
    public function testTapsOfTheComputedTimesAreAsComputed(string $chain): void
    {
        $contacts = self::contacts($chain);
        $measured = Measurement::of(self::taps($contacts, 6), $contacts);

        self::assertCount(6, $measured->alignment->repetitions);
        self::assertSame([[], 0], [$measured->alignment->extra, $measured->alignment->missed(\count($contacts->ms))]);
        foreach ($measured->links as $link) {
            self::assertSame(MeasuredVerdict::AsComputed, $link->verdict(), $link->says());
        }
    }

    /** A tap is accurate to about 30 ms; the median of eight to about half of that. */
    #[DataProvider('chains')]
    public function testAKnownJitterRecoversTheIntervals(string $chain): void
    {
        $contacts = self::contacts($chain);
        $taps = self::taps($contacts, 8, jitter: 30, seed: 5);
        $measured = Measurement::of($taps, $contacts);

        foreach ($measured->links as $index => $link) {
            self::assertEqualsWithDelta($contacts->ms[$index + 1] - $contacts->ms[$index], $link->median, 30.0);
            self::assertSame(8, $link->count);
        }
    }

    #[TestWith([0.7])]
    #[TestWith([1.0])]
    #[TestWith([1.6])]
    #[TestWith([2.4])]
    public function testThePaceOfTheAthleteIsFound(float $pace): void
    {
        $contacts = self::contacts('1 2 3 2');
        $measured = Measurement::of(self::taps($contacts, 5, pace: $pace, jitter: 10), $contacts);

        self::assertEqualsWithDelta($pace, $measured->pace, 0.06 * $pace);
        self::assertSame(
            ['as-computed', 'as-computed', 'as-computed'],
            array_map(static fn (MeasuredLink $link): string => $link->verdict()->value, $measured->links),
        );
    }

    public function testAnAthleteWhoStopsInOnePlaceIsDistinguishedFromASlowOne(): void
    {
        $contacts = self::contacts('1 2 3 2');
        $measured = Measurement::of(self::taps($contacts, 5, pace: 1.2, stop: [2, 260.0]), $contacts);

        self::assertSame(
            ['as-computed', 'stops', 'as-computed'],
            array_map(static fn (MeasuredLink $link): string => $link->verdict()->value, $measured->links),
        );
        self::assertSame('Stops here, 260 ms longer than computed.', $measured->links[1]->says());
    }

    public function testAQuickLinkIsFaster(): void
    {
        $contacts = self::contacts('1 2 3 2');
        $measured = Measurement::of(self::taps($contacts, 5, stop: [2, -150.0]), $contacts);

        self::assertSame(MeasuredVerdict::Faster, $measured->links[1]->verdict());
    }

    public function testAMissedAndADoubledTapAreFound(): void
    {
        $contacts = self::contacts('1 2 3 2');
        $taps = self::taps($contacts, 6);
        // The second strike of the third repetition has no tap, and the third of the fourth has two.
        $double = $taps[14] + 55.0;
        unset($taps[9]);
        $taps = [...array_values($taps), $double];
        sort($taps);
        $measured = Measurement::of($taps, $contacts);

        self::assertSame(1, $measured->alignment->missed(4));
        self::assertCount(1, $measured->alignment->extra);
        self::assertContains($measured->taps[$measured->alignment->extra[0]], [$double, $double - 55.0]);
        self::assertSame(
            [5, 5, 6],
            [$measured->links[0]->count, $measured->links[1]->count, $measured->links[2]->count],
        );
    }

    /** Generated chains are split into as many repetitions as were thrown, whatever the pauses. */
    public function testGeneratedChainsAreCutIntoTheirRepetitions(): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'));
        $this->limitTo(60)
            ->forAll(Chains::any(), Generators::choose(1, 6), Generators::choose(1, 1000))
            ->then(static function (Chain $chain, int $times, int $seed) use ($options): void {
                $contacts = Contacts::of(
                    Check::builtIn()->run(new ChainInStance($chain, Stance::Orthodox), $options)->timing,
                );
                if (\count($contacts->ms) < 2) {
                    return;
                }
                $measured = Measurement::of(self::taps($contacts, $times, jitter: 12, seed: $seed), $contacts);

                self::assertCount($times, $measured->alignment->repetitions);
                self::assertSame([], $measured->alignment->extra);
                self::assertSame(0, $measured->alignment->missed(\count($contacts->ms)));
            });
    }

    public function testStrikesThatLandTogetherAreOneContact(): void
    {
        self::assertSame([[0], [1, 2]], self::contacts('1 2+14')->items);
    }

    public function testAFeintIsNotHeard(): void
    {
        self::assertSame([[1], [2]], self::contacts('(1) 2 3')->items);
    }

    /** @param list<float> $taps */
    #[TestWith([
        '1',
        [0.0, 300.0],
        'A chain with fewer than two strikes that land has no time between them to measure.',
    ]),]
    #[TestWith(['1 2', [10.0], 'At least two strikes have to be heard. Tap once for each strike as it lands.'])]
    public function testAnImpossibleMeasurementIsRefusedWithAReason(string $chain, array $taps, string $message): void
    {
        $this->expectExceptionMessage($message);
        Measurement::of($taps, self::contacts($chain));
    }

    public function testTooManyTapsAreRefused(): void
    {
        $this->expectException(\DomainException::class);
        Measurement::of(array_map(floatval(...), range(1, Alignment::MAX_TAPS + 1)), self::contacts('1 2'));
    }

    private static function contacts(string $text): Contacts
    {
        return Contacts::of(
            Check::builtIn()->run(Chains::inStance($text), new CheckOptions(BuiltInHouseRules::named('all-limbs')))
                ->timing,
        );
    }

    /**
     * @param array{int, float}|null $stop from which contact on everything comes so many ms later
     *
     * @return list<float>
     */
    private static function taps(
        Contacts $contacts,
        int $times,
        float $pace = 1.0,
        int $jitter = 0,
        int $seed = 1,
        ?array $stop = null,
    ): array {
        $random = new Randomizer(new Mt19937($seed));
        $taps = [];
        $start = 500.0;
        $length = $pace * ($contacts->ms[\count($contacts->ms) - 1] - $contacts->ms[0]);
        for ($time = 0; $time < $times; ++$time) {
            foreach ($contacts->ms as $index => $ms) {
                $taps[] =
                    $start
                    + $pace * ($ms - $contacts->ms[0])
                    + (null !== $stop && $index >= $stop[0] ? $stop[1] : 0.0)
                    + (0 === $jitter ? 0 : $random->getInt(-$jitter, $jitter));
            }
            $start += $length + 2600.0 + $random->getInt(0, 900);
        }
        sort($taps);

        return $taps;
    }
}
