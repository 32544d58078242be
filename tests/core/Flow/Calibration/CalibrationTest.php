<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow\Calibration;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Calibration\Effect;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Technique\Calibration;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\ModelValues;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CalibrationTest extends TestCase
{
    use TestTrait;

    public function testEveryNumberCanBeMovedToBothItsBoundsAlone(): void
    {
        foreach (ModelValues::all() as $key => $value) {
            foreach ([$value->least, $value->most] as $to) {
                $own = (new Calibration([$key => $to]))->own;
                self::assertSame(abs($to - $value->value) < 1e-9 ? [] : [$key => $to], $own, $key);
            }
        }
    }

    /** Each key changes its own number and no other. */
    public function testEveryNumberMovesTheCatalogueItself(): void
    {
        $builtIn = Catalogue::builtIn();
        foreach (ModelValues::all() as $key => $value) {
            $to = abs($value->most - $value->value) > 1e-9 ? $value->most : $value->least;
            $catalogue = (new Calibration([$key => $to]))->catalogue();
            $changed = array_keys(
                array_filter(
                    $catalogue->strikes,
                    static fn ($strike): bool => serialize($strike) !== serialize($builtIn->strikes[$strike->id]),
                ),
            );
            $moved = array_keys(
                array_filter(
                    $catalogue->moves,
                    static fn ($move): bool => serialize($move) !== serialize($builtIn->moves[$move->id]),
                ),
            );
            $body = serialize($catalogue->body) !== serialize($builtIn->body) ? ['body'] : [];
            self::assertSame([$value->of], [...$body, ...$changed, ...$moved], $key);
        }
    }

    public function testWhatShipsIsNoOwnNumber(): void
    {
        self::assertSame(
            [],
            (new Calibration(array_map(static fn ($value): float => $value->value, ModelValues::all())))->own,
        );
    }

    /** @param array<string, int|float> $own */
    #[TestWith([['body.turnRate' => 249]])]
    #[TestWith([['body.nothing' => 1]])]
    #[TestWith([['nobody.out' => 1]])]
    #[TestWith([['cross.needs.turn.to' => \NAN]])]
    #[TestWith([['lead-round-kick.needs.load.from' => 0.25, 'lead-round-kick.needs.load.to' => 0.2]])]
    public function testWhatMakesNoSenseIsRefused(array $own): void
    {
        $this->expectException(\DomainException::class);
        new Calibration($own);
    }

    /** A slower body waits longer wherever it waits only for weight or hips. */
    public function testWaitsGrowWithTheRatesOfTheBody(): void
    {
        $rules = BuiltInHouseRules::named('all-limbs');
        $this->forAll(Chains::any(), Generators::choose(0, 40))->then(static function (Chain $chain, int $more) use (
            $rules,
        ): void {
            $slower = $rules->calibrated(['body.turnRate' => 560 + 10 * $more, 'body.loadRate' => 700 + 10 * $more]);
            self::assertGreaterThanOrEqual(
                (new FlowModel())->timing($chain, $rules)->waiting() - 1e-6,
                (new FlowModel())->timing($chain, $slower)->waiting(),
            );
        });
    }

    /** Near a bound, the last step may be shorter. */
    public function testBothSidesAreTriedUpToTheBounds(): void
    {
        $value = ModelValues::all()['cross.out'];
        $rules = BuiltInHouseRules::named('boxing');

        self::assertSame(
            [340.0, 375.0],
            array_column(Effect::around($value, $rules->calibrated(['cross.out' => 365]), []), 'to'),
        );
        self::assertSame(
            [350.0],
            array_column(Effect::around($value, $rules->calibrated(['cross.out' => 375]), []), 'to'),
        );
    }

    public function testTheEffectOfTheLimitOfAFlowingLinkIsSeenOnLabelledChains(): void
    {
        $rules = BuiltInHouseRules::named('all-limbs');
        [$down, $up] = Effect::around(ModelValues::all()['body.flows'], $rules, [
            Chains::read('2 2'),
            Chains::read('1 2'),
        ]);

        self::assertSame([110.0, 150.0], [$down->to, $up->to]);
        self::assertNotSame([], $down->changed);
        self::assertLessThan($down->agreed, $down->agree, 'The limit was set where the labelled chains agree best.');
        self::assertSame($down->agreed, $up->agreed);
        self::assertSame(0, $up->gym);
    }
}
