<?php

declare(strict_types=1);

namespace Periplus\Tests\Architecture;

use PHPUnit\Framework\TestCase;

final class WordsTest extends TestCase
{
    private const CATALOGUE = __DIR__.'/../../docs/words/server.txt';

    /** WORDS=write writes it anew. */
    public function testTheCatalogueHasEverythingThatTheServerSays(): void
    {
        if ('write' === getenv('WORDS')) {
            file_put_contents(self::CATALOGUE, Words::catalogue());
        }

        self::assertSame(Words::catalogue(), file_get_contents(self::CATALOGUE));
    }
}
