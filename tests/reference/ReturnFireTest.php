<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Session\ReturnFire\Defence;
use Periplus\Core\Session\ReturnFire\ReturnFire;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The defences that coaches teach against each strike. Common practice, no source. An orthodox athlete against an
 * orthodox opponent unless stated otherwise.
 */
final class ReturnFireTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *     string,
     *     list<string>,
     * }> the strike that comes back, and defences that coaches name against it
     */
    public static function taught(): iterable
    {
        yield 'a jab is slipped to either side, parried with the rear hand, or pulled from' => [
            'jab',
            ['slip-lead', 'slip-rear', 'parry-rear', 'pull'],
        ];
        yield 'a cross is slipped to either side, parried with the lead hand, or pulled from' => [
            'cross',
            ['slip-lead', 'slip-rear', 'parry-lead', 'pull'],
        ];
        yield 'a lead hook is rolled under, ducked, or blocked with the rear arm' => [
            'lead hook',
            ['duck', 'block-rear'],
        ];
        yield 'a rear hook is rolled under, ducked, or blocked with the lead arm' => [
            'rear hook',
            ['duck', 'block-lead'],
        ];
        yield 'a body hook is blocked with the elbow of its side' => ['lead hook to the body', ['block-rear']];
        yield 'an uppercut is blocked, pulled from, or left by a step back' => [
            'rear uppercut',
            ['block-lead', 'pull', 'step-back'],
        ];
        yield 'a rear round kick to the body is checked, blocked, or left by a step back' => [
            'rear round kick to the body',
            ['check-lead', 'block-lead', 'step-back'],
        ];
        yield 'a rear low kick is checked with the lead leg, or the leg is taken back' => [
            'rear round kick to the leg',
            ['check-lead', 'step-back'],
        ];
        yield 'a lead low kick is checked with the rear leg, or the leg is taken back' => [
            'lead round kick to the leg',
            ['check-rear', 'step-back'],
        ];
        yield 'a push kick is parried and left to the side' => ['lead push kick', ['parry-rear step-rear']];
        yield 'a knee is pushed off, or left by a step back' => ['rear knee', ['push', 'step-back']];
        yield 'an elbow is pulled from, or covered' => ['rear elbow', ['pull', 'cover']];
        yield 'a spinning strike is left by a step back, or covered' => ['spinning back kick', ['step-back', 'cover']];
    }

    /** @param list<string> $defences */
    #[DataProvider('taught')]
    public function testWhatCoachesTeachIsNamed(string $strike, array $defences): void
    {
        self::assertSame([], array_diff($defences, self::moves($strike)));
    }

    /** Nobody ducks under a low kick or slips a hook to the body. */
    #[DataProvider('notTaught')]
    public function testDefencesThatAreNotTaughtAreNotListed(string $strike, string $move): void
    {
        self::assertNotContains($move, self::moves($strike));
    }

    /** @return iterable<string, array{string, string}> */
    public static function notTaught(): iterable
    {
        yield 'no duck under a low kick' => ['rear round kick to the leg', 'duck'];
        yield 'no slip from a body hook' => ['lead hook to the body', 'slip-lead'];
        yield 'no roll under an uppercut' => ['rear uppercut', 'roll-lead'];
        yield 'no leg check against a cross' => ['cross', 'check-lead'];
        yield 'no parry of a hook' => ['lead hook', 'parry-rear'];
        yield 'no pull from a low kick' => ['lead round kick to the leg', 'pull'];
    }

    /** A slip outside a jab loads the rear hand, and so does a roll to the rear side. */
    #[DataProvider('counters')]
    public function testTheCounterThatADefenceLoadsIsReadyAtOnce(string $strike, string $defence, string $counter): void
    {
        foreach (self::defences($strike) as $one) {
            if ($defence === self::words($one)) {
                $ready = array_filter($one->counters, static fn ($next): bool => $next->wait < 1.0);
                self::assertContains($counter, array_map(static fn ($next): string => $next->item->name(), $ready));

                return;
            }
        }
        self::fail($defence.' is not among the defences.');
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function counters(): iterable
    {
        yield 'slip rear, then the cross' => ['jab', 'slip-rear', 'cross'];
        yield 'roll rear, then the cross' => ['lead hook', 'roll-rear', 'cross'];
        yield 'roll lead, then the lead hook' => ['rear hook', 'roll-lead', 'lead hook'];
    }

    /** @return list<string> */
    private static function moves(string $strike): array
    {
        return array_map(self::words(...), self::defences($strike));
    }

    /** @return list<Defence> */
    private static function defences(string $strike): array
    {
        return ReturnFire::builtIn()->answers(
            Chains::inStance($strike, Stance::Orthodox),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        )[0]->defences;
    }

    private static function words(Defence $defence): string
    {
        return implode(' ', array_map(static fn (MoveItem $item): string => $item->move->id, $defence->moves));
    }
}
