<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Notation\NotesEntry;
use Periplus\Core\Notation\NotesPage;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Stance;
use PHPUnit\Framework\TestCase;

final class NotesPageTest extends TestCase
{
    use TestTrait;

    private const PAGE = <<<'TEXT'
        Seminar, Saturday

        The lead hand opens the door. Jab, cross, hook to the body.

        ## Openers
        - 1 2 3
        * jab, step out left, low kick
        2) double jab, cross

        Body work:
        left hook to the body, left hook to the head
        something with the elbow, ask again

        Sea gate: 1 2 slip 2
        Bring water next time.
        Feints
        fake the jab, overhand
        TEXT;

    public function testSentencesBulletsAndHeadingsAreToldApart(): void
    {
        self::assertSame([
            '1 Remark Seminar, Saturday',
            '3 Unclear The lead hand opens the door.',
            '3 Chain Jab, cross, hook to the body.',
            '6 Chain 1 2 3 [Openers]',
            '7 Chain jab, step out left, low kick [Openers]',
            '8 Chain double jab, cross [Openers]',
            '11 Chain left hook to the body, left hook to the head [Body work]',
            '12 Unclear something with the elbow, ask again [Body work]',
            '14 Chain "Sea gate" 1 2 slip 2 [Body work]',
            '15 Remark Bring water next time. [Body work]',
            '17 Chain "Feints" fake the jab, overhand',
        ], array_map(
            static fn (NotesEntry $entry): string => $entry->line
                .' '
                .$entry->kind->name
                .('' === $entry->name ? '' : ' "'.$entry->name.'"')
                .' '
                .$entry->text
                .('' === $entry->heading ? '' : ' ['.$entry->heading.']'),
            self::split(self::PAGE),
        ));
    }

    /** Every word of a page stands in an entry, as its text, its name or its heading. */
    public function testNothingOfAPageIsLost(): void
    {
        $lines = explode("\n", self::PAGE);
        $this->limitTo(300)
            ->forAll(Generators::seq(Generators::choose(0, \count($lines) - 1)))
            ->then(static function (array $chosen) use ($lines): void {
                /** @var list<int> $chosen */
                $page = implode("\n", array_map(static fn (int $line): string => $lines[$line], $chosen));
                $kept = implode(' ', array_map(
                    static fn (NotesEntry $entry): string => "$entry->text $entry->name $entry->heading",
                    self::split($page),
                ));
                preg_match_all('/\p{L}[\p{L}\']*/u', $page, $words);
                foreach ($words[0] as $word) {
                    self::assertStringContainsString($word, $kept, $page);
                }
            });
    }

    /** @return list<NotesEntry> */
    private static function split(string $page): array
    {
        return (new NotesPage(Reader::builtIn()))->split($page, Numbering::named('parity'), Stance::Orthodox);
    }
}
