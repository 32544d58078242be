<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Voice;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\Scheme;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

/** What is written is read back to the same chain, in every scheme, in both kinds of words, in both stances. */
final class RoundTripTest extends TestCase
{
    use TestTrait;

    public function testNumbersInEveryScheme(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            foreach (Scheme::builtIn() as $scheme) {
                foreach (Stance::cases() as $stance) {
                    $voice = new Voice($chain, $stance);
                    self::assertReadsBack($voice, (new Writer($scheme))->write($voice), $scheme);
                }
            }
        });
    }

    public function testWordsByRoleAndBySide(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            foreach (Stance::cases() as $stance) {
                $voice = new Voice($chain, $stance);
                self::assertReadsBack($voice, Words::byRole()->write($voice), Scheme::named('body-pairs'));
                self::assertReadsBack($voice, Words::bySide()->write($voice), Scheme::named('hands'));
            }
        });
    }

    public function testTheLongestChainAsItIsStoredIsReadBack(): void
    {
        foreach (['step-across', '14l!>', 'circle-rear', '(32b~)'] as $item) {
            $text = implode(' ', array_fill(0, Chain::MOST, $item));
            self::assertLessThan(Reader::LONGEST, mb_strlen($text));
            self::assertCount(Chain::MOST, Chains::read($text));
        }
    }

    private static function assertReadsBack(Voice $voice, string $text, Scheme $scheme): void
    {
        // A long chain in words can pass the limit of one line; in parity, as it is stored, none does.
        if ('parity' !== $scheme->id && mb_strlen($text) > Reader::LONGEST) {
            return;
        }
        $reading = Reader::builtIn()->read($text, $scheme, $voice->stance);
        self::assertNotNull($reading->chain, \sprintf('%s: "%s": %s', $scheme->id, $text, self::first($reading)));
        self::assertSame(Fingerprint::of($voice->chain)->withEffort, Fingerprint::of($reading->chain)->withEffort, \sprintf('%s: "%s"', $scheme->id, $text));
        self::assertSame([], $reading->notes, \sprintf('"%s" leaves nothing open.', $text));
    }

    private static function first(Reading $reading): string
    {
        return $reading->problems[0]->message ?? '';
    }
}
