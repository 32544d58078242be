<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Combination\Voice;
use Periplus\Core\Notation\Scheme;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Combinations as coaches call them. Common practice, no source. */
final class SpokenTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> */
    public static function calls(): iterable
    {
        $lines = file(__DIR__.'/data/spoken.tsv', \FILE_IGNORE_NEW_LINES);
        foreach (false === $lines ? [] : $lines as $line) {
            if (!str_starts_with($line, '#')) {
                [$said, $canonical, $stance] = explode("\t", $line);
                yield "$said, $stance" => [$said, $canonical, $stance];
            }
        }
    }

    #[DataProvider('calls')]
    public function testWhatACoachSaysIsRead(string $said, string $canonical, string $stance): void
    {
        $stance = Stance::from($stance);

        self::assertSame($canonical, (new Writer(Scheme::named('parity')))->write(new Voice(Chains::read($said, $stance), $stance)));
    }
}
