<?php

declare(strict_types=1);

namespace Periplus\Tests\Core;

use Eris\Generator;
use Eris\Generators;
use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;
use PHPUnit\Framework\Assert;

/** Chains for tests: read from text, or generated from the whole catalogue. */
final class Chains
{
    public static function read(string $text, Stance $stance = Stance::Orthodox, string $numbering = 'parity'): Chain
    {
        $reading = Reader::builtIn()->read($text, Numbering::named($numbering), $stance);
        Assert::assertNotNull(
            $reading->chain,
            \sprintf('"%s" cannot be read: %s', $text, $reading->problems[0]->message ?? ''),
        );

        return $reading->chain;
    }

    public static function inStance(string $text, Stance $stance = Stance::Orthodox): ChainInStance
    {
        return new ChainInStance(self::read($text, $stance), $stance);
    }

    /**
     * Generates any chain, from a list of numbers, so that failures shrink to short chains.
     *
     * @return Generator<Chain>
     */
    public static function any(): Generator
    {
        return Generators::map(self::made(...), Generators::seq(Generators::choose(0, 1_000_000)));
    }

    /** @param list<int> $seeds */
    private static function made(array $seeds): Chain
    {
        $items = [];
        foreach (\array_slice($seeds, 0, Chain::MAX_ITEMS) as $seed) {
            $items[] = self::item($seed);
            try {
                Chain::require($items, \count($items) - 1);
            } catch (InvalidChain) {
                array_pop($items);
            }
        }

        return Chain::of([] === $items ? [self::item(0)] : $items);
    }

    private static function landing(Strike $strike, int $kind): Landing
    {
        $landing = match (true) {
            5 === $kind => Landing::HalfWay,
            Role::Rear === $strike->role => Landing::Forward,
            default => Landing::Behind,
        };

        return \in_array($kind, [3, 5], true) && $landing->isOpenTo($strike) ? $landing : Landing::Back;
    }

    private static function free(int $rest): FreeStrikes
    {
        $strikes = array_values(Catalogue::builtIn()->strikes);
        $isNamed = 0 === intdiv($rest, 3) % 3;

        return new FreeStrikes(
            1 + ($rest % FreeStrikes::MAX_COUNT),
            $isNamed ? null : [null, ...Target::cases()][intdiv($rest, 16) % 4],
            Effort::cases()[intdiv($rest, 7) % 3],
            $isNamed
                ? array_map(
                    static fn (int $place): StrikeItem => new StrikeItem(
                        $strike = $strikes[($rest + 5 * $place) % \count($strikes)],
                        $strike->targets[$rest % \count($strike->targets)],
                    ),
                    range(1, 2 + ($rest % (FreeStrikes::MAX_CHOICE - 1))),
                )
                : [],
        );
    }

    private static function item(int $seed): Item
    {
        $catalogue = Catalogue::builtIn();
        $strikes = array_values($catalogue->strikes);
        $moves = array_values($catalogue->moves);
        [$kind, $rest] = [$seed % 10, intdiv($seed, 10)];
        if ($kind >= 7) {
            return 9 === $kind && 0 === $rest % 4
                ? (0 === $rest % 8
                    ? new Beat()
                    : self::free($rest))
                : new MoveItem($moves[$rest % \count($moves)]);
        }
        $strike = $strikes[$rest % \count($strikes)];
        $rest = intdiv($rest, \count($strikes));
        $target = $strike->targets[$rest % \count($strike->targets)];
        $effort = Effort::cases()[intdiv($rest, 3) % 3];

        return new StrikeItem(
            strike: $strike,
            target: $target,
            effort: $effort,
            feint: 1 === $kind,
            joined: 2 === $kind,
            landing: self::landing($strike, $kind),
            legUp: 4 === $kind,
        );
    }
}
