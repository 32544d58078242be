<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

/** Every number of the built-in numberings, compared with a table written by hand. Common practice, no source. */
final class NumberingTest extends TestCase
{
    public function testEveryStrikeHasTheNumberItIsKnownBy(): void
    {
        $rows = self::rows();
        self::assertEqualsCanonicalizing(array_keys(Catalogue::builtIn()->strikes), array_column($rows, 0));
        foreach ($rows as [$id, $parity, $bodyPairs, $orthodox, $southpaw]) {
            self::assertSame($parity, self::written($id, 'parity', Stance::Orthodox));
            self::assertSame(
                $parity,
                self::written($id, 'parity', Stance::Southpaw),
                'Bound to the role, a number is the same in both stances.',
            );
            self::assertSame($bodyPairs, self::written($id, 'body-pairs', Stance::Orthodox));
            self::assertSame($orthodox, self::written($id, 'hands', Stance::Orthodox));
            self::assertSame($southpaw, self::written($id, 'hands', Stance::Southpaw));
        }
    }

    public function testEveryNumberIsReadAsThatStrike(): void
    {
        foreach (self::rows() as [$id, $parity, $bodyPairs, $orthodox, $southpaw]) {
            $stances = [
                ['parity', $parity, Stance::Orthodox],
                ['body-pairs', $bodyPairs, Stance::Southpaw],
                ['hands', $orthodox, Stance::Orthodox],
                ['hands', $southpaw, Stance::Southpaw],
            ];
            foreach ($stances as [$numbering, $number, $stance]) {
                if ('-' !== $number) {
                    $item = Chains::read($number, $stance, $numbering)->items[0];
                    self::assertInstanceOf(StrikeItem::class, $item);
                    self::assertSame($id, $item->strike->id, $numbering.' '.$number);
                }
            }
        }
    }

    public function testOddIsLeadAndEvenIsRear(): void
    {
        foreach (Numbering::named('parity')->entries as $code => $entry) {
            self::assertSame(
                1 === (int) $code % 2 ? 'lead' : (0 === (int) $code % 2 ? 'rear' : ''),
                $entry->position->value,
                (string) $code,
            );
        }
        foreach (Numbering::named('hands')->entries as $code => $entry) {
            if (!\in_array((int) $code, [17, 18, 19, 20], true)) {
                self::assertSame(1 === (int) $code % 2 ? 'left' : 'right', $entry->position->value, (string) $code);
            }
        }
    }

    public function testTheHooksToTheBodyAreANumberOfTheirOwnInBodyPairs(): void
    {
        $write = static fn (string $text): string => (new Writer(Numbering::named('body-pairs')))->write(
            Chains::inStance($text),
        );

        self::assertSame('7 8 3 4', $write('3b 4b 3 4'));
        self::assertSame('(7!) 1', $write('(3b!) 1'));
        self::assertSame('1, lead overhand, 2', $write('1 9 2'), 'What has no number is written in words.');
    }

    private static function written(string $id, string $numbering, Stance $stance): string
    {
        $strike = Catalogue::builtIn()->strike($id);
        $text = (new Writer(Numbering::named($numbering)))->write(
            new ChainInStance(Chain::of([new StrikeItem($strike, $strike->defaultTarget())]), $stance),
        );

        return $text === $strike->name && 1 !== preg_match('/\d/', $text) ? '-' : $text;
    }

    /** @return list<array{string, string, string, string, string}> */
    private static function rows(): array
    {
        $rows = [];
        foreach (explode("\n", trim((string) file_get_contents(__DIR__.'/data/numbering.tsv'))) as $line) {
            if ('#' !== $line[0]) {
                [$id, $parity, $bodyPairs, $orthodox, $southpaw] = explode("\t", $line);
                $rows[] = [$id, $parity, $bodyPairs, $orthodox, $southpaw];
            }
        }

        return $rows;
    }

    /**
     * Hands and elbows go to the head, kicks and knees to the body, unless a target is named; axe and crescent kicks
     * come from above, oblique kicks go low. Common practice, no source.
     */
    public function testStrikesGoToTheirDefaultTarget(): void
    {
        foreach (Catalogue::builtIn()->strikes as $strike) {
            $target = match ($strike->family) {
                'axe kick', 'crescent kick' => Target::Head,
                'oblique kick' => Target::Leg,
                default => $strike->limb->isArm() ? Target::Head : Target::Body,
            };
            self::assertSame($target, $strike->defaultTarget(), $strike->id);
        }
    }
}
