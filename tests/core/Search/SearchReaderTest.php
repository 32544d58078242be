<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Search;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Search\Clause;
use Periplus\Core\Search\ItemsClause;
use Periplus\Core\Search\SearchQuery;
use Periplus\Core\Search\SearchReader;
use Periplus\Core\Search\WordsClause;
use Periplus\Core\Technique\Catalogue;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SearchReaderTest extends TestCase
{
    use TestTrait;

    private const PATTERNS = [
        'starts 1',
        'starts kick',
        'starts (1)',
        'ends kick',
        'ends exit',
        'ends 2 exit',
        'ends slip',
        'has 2 3',
        'has 3b',
        'has (3)',
        'has lead hook body then rear kick',
        'has 1 then 2 then 3',
        'has slip',
        'has slip-lead 3',
        'has footwork kick',
        'no switch',
        'no kick',
        'no 1 2',
        'has * ',
        'has /',
        'has hand hand hand',
        'has strike strike strike strike',
    ];

    /** @param list<string> $says */
    #[TestWith(['starts 1', ['starts with a jab']])]
    #[TestWith(['ends kick', ['ends with a kick']])]
    #[TestWith(['has 2 3', ['has a cross and directly a lead hook']])]
    #[TestWith(['has lead-hook body then rear kick', ['has a lead hook to the body, then later a rear kick']])]
    #[TestWith(['no switch', ['has no switch']])]
    #[TestWith(['length 3..5', ['has 3 to 5 strikes']])]
    #[TestWith(['length 4+', ['has 4 strikes or more']])]
    #[TestWith(['no liver', ['nothing goes to the liver']])]
    #[TestWith(['outside thigh', ['goes outside of the lead thigh']])]
    #[TestWith(['from southpaw starts 1 level 2', ['was written for southpaw', 'starts with a jab', 'is of level 2']])]
    #[TestWith(['drilled', ['was drilled']])]
    #[TestWith(['not drilled', ['was never drilled']])]
    #[TestWith(['drilled never', ['was never drilled']])]
    #[TestWith(['drilled 2 weeks level 2', ['was drilled in the last 14 days', 'is of level 2']])]
    #[TestWith(['drilled in the last 1 day', ['was drilled in the last day']])]
    #[TestWith(['not drilled for 30 days, starts 1', ['was not drilled in the last 30 days', 'starts with a jab']])]
    #[TestWith(['starts with jab', ['starts with a jab']])]
    #[TestWith(['begins with a jab and ends with a kick', ['starts with a jab', 'ends with a kick']])]
    #[TestWith(['end in a kick', ['ends with a kick']])]
    #[TestWith(['dead end', ['the words “dead end”']])]
    #[TestWith(['starts with jab or cross, no switch', ['starts with a jab, or starts with a cross', 'has no switch']])]
    #[TestWith(['contains a jab without a kick', ['has a jab', 'has no kick']])]
    #[TestWith(['no liver or spleen', ['nothing goes to the liver', 'nothing goes to the spleen side']])]
    #[TestWith(['has the liver or the spleen', ['goes to the liver, or goes to the spleen side']])]
    #[TestWith(['level 1 or 2', ['is of level 1, or is of level 2']])]
    #[TestWith(['theme in and out or slips', ['has the theme in and out, or has the theme slips']])]
    #[TestWith(['hammer and nail', ['the word “hammer”', 'the word “nail”']])]
    #[TestWith(['"starts with"', ['the words “starts with”']])]
    #[TestWith(['"no exit" harbour', ['the words “no exit harbour”']])]
    #[TestWith(['by liv, theme slips; breaks', ['was written by liv', 'has the theme slips', 'breaks']])]
    #[TestWith(['starts one', ['starts with a jab']])]
    #[TestWith(['has double jab', ['has a jab and directly a jab']])]
    #[TestWith(['has overhand right', ['has a rear overhand']])]
    #[TestWith(['has fake 1', ['has a fake jab']])]
    #[TestWith(['has right hand', ['has a cross']])]
    #[TestWith(['has right hand from southpaw', ['has a jab', 'was written for southpaw']])]
    #[TestWith(['has switch right hand', ['has switch and directly a jab']])]
    #[TestWith(['has 7 from southpaw', ['has a lead shovel hook', 'was written for southpaw']])]
    #[TestWith(['has low hook', ['has a hook to the body']])]
    #[TestWith(['has liver shot', ['has a lead hook to the body']])]
    #[TestWith(['has 1 leg check left 2', ['has a jab and directly check lead and directly a cross']])]
    #[TestWith(['has level change, level 2', ['has level', 'is of level 2']])]
    #[TestWith(['no level change', ['has no level']])]
    #[TestWith(['has jab level change cross', ['has a jab and directly level and directly a cross']])]
    #[TestWith(['has *3 2', ['has free strikes and directly a cross']])]
    #[TestWith(['starts with a jab and a cross', ['starts with a jab and directly a cross']])]
    #[TestWith(['has bob and weave left and no kick', ['has roll lead', 'has no kick']])]
    #[TestWith(['has hook to the liver, liver', ['has a hook to the body', 'goes to the liver']])]
    #[TestWith(['kickboxing', ['is for kickboxing']])]
    #[TestWith(['rules kickboxing', ['is for kickboxing']])]
    #[TestWith(['boxing level 2', ['is for boxing', 'is of level 2']])]
    #[TestWith(['level 2 kickboxing', ['is of level 2', 'is for kickboxing']])]
    #[TestWith(['level 2 harbour', ['is of level 2', 'the word “harbour”']])]
    #[TestWith(['all limbs or boxing', ['is for all-limbs, or is for boxing']])]
    #[TestWith(['southpaw first', ['was written for southpaw']])]
    #[TestWith(['written for southpaw, has right hand', ['was written for southpaw', 'has a jab']])]
    #[TestWith(['theme southpaw', ['has the theme southpaw']])]
    #[TestWith(['"kickboxing"', ['the word “kickboxing”']])]
    #[TestWith(['never drilled', ['was never drilled']])]
    #[TestWith(['3 strikes', ['has 3 strikes']])]
    #[TestWith(['has three strikes', ['has 3 strikes']])]
    #[TestWith(['at least 4 strikes no kick', ['has 4 strikes or more', 'has no kick']])]
    #[TestWith(['3 to 5 strikes', ['has 3 to 5 strikes']])]
    #[TestWith(['two kicks', ['has a kick, then later a kick']])]
    #[TestWith(['has strikes', ['has a strike']])]
    #[TestWith(['has elbows', ['has an elbow']])]
    #[TestWith(['hands only', ['has no kick, knee or elbow']])]
    #[TestWith(['longer than 2 s', ['takes longer than 2 s']])]
    #[TestWith(['under 1.5 seconds, liver', ['takes less than 1.5 s', 'goes to the liver']])]
    #[TestWith(['new this week', ['is new in the last 7 days']])]
    #[TestWith(['new moon', ['the words “new moon”']])]
    #[TestWith(['', []])]
    public function testClausesAreReadAndSaidInWords(string $text, array $says): void
    {
        $search = self::read($text);

        self::assertSame([], $search->problems);
        self::assertSame($says, array_map(static fn (Clause $clause): string => $clause->says(), $search->clauses));
    }

    /**
     * Removing the text of a clause from a search leaves the others.
     *
     * @param list<string> $texts
     */
    #[TestWith(['southpaw first, 3  strikes', ['southpaw first', '3 strikes']])]
    #[TestWith(['level 2 kickboxing', ['level 2', 'kickboxing']])]
    #[TestWith(['hands only longer than 2 s', ['hands only', 'longer than 2 s']])]
    public function testTextOfAClauseIsAsTyped(string $text, array $texts): void
    {
        $clauses = self::read($text)->clauses;

        self::assertSame($texts, array_map(static fn (Clause $clause): string => $clause->text(), $clauses));
    }

    #[TestWith(['has zork', 4, 4])]
    #[TestWith(['harbour, has', 9, 3])]
    #[TestWith(['starts with zork', 12, 4])]
    #[TestWith(['has jab or', 8, 2])]
    #[TestWith(['or jab', 0, 2])]
    #[TestWith(['drilled often', 0, 13])]
    #[TestWith(['not drilled yesterday', 0, 21])]
    #[TestWith(['archived or level 1', 12, 7])]
    #[TestWith(['length long', 0, 11])]
    #[TestWith(['from nowhere', 0, 12])]
    #[TestWith(['level 7', 0, 7])]
    #[TestWith(['??', 0, 2])]
    public function testUnknownWordsAreReportedWithTheirPlace(string $text, int $index, int $length): void
    {
        $problems = self::read($text)->problems;

        self::assertCount(1, $problems);
        self::assertSame([$index, $length], [$problems[0]->at, $problems[0]->length]);
        self::assertNotSame('', $problems[0]->expected);
    }

    public function testNumbersAreReadInTheCoachsNumbering(): void
    {
        $clause = self::read('has 7', 'body-pairs')->clauses[0];
        self::assertInstanceOf(ItemsClause::class, $clause);

        self::assertTrue($clause->matches(Sequence::of(Chains::read('1 3b'))));
        self::assertFalse($clause->matches(Sequence::of(Chains::read('1 7'))), 'There 7 is the hook to the body.');
        self::assertFalse($clause->matches(Sequence::of(Chains::read('1 3'))));
    }

    public function testPlainWordsMayBeItems(): void
    {
        $clause = self::read('1-2 exit')->clauses[0];
        self::assertInstanceOf(WordsClause::class, $clause);
        self::assertSame(['1', '2', 'exit'], $clause->words);
        self::assertTrue($clause->items?->matches(Sequence::of(Chains::read('3 1 2 exit'))));
    }

    /** The regular expression for the database matches the same as comparing item by item. */
    public function testPatternExpressionMatchesWhatAPlainLookMatches(): void
    {
        $clauses = array_map(static function (string $text): ItemsClause {
            $clause = self::read($text)->clauses[0];
            self::assertInstanceOf(ItemsClause::class, $clause);

            return $clause;
        }, self::PATTERNS);
        $matched = array_fill(0, \count($clauses), 0);
        $few = Generators::map(
            static fn (string $text): Chain => Chains::read($text),
            Generators::elements([
                '1 2 3',
                '1 2 3b 14 exit',
                '(1) 2 3',
                '1 (3) 6 3',
                '14l step-out',
                'slip-lead 3 2 exit',
                '1 2 switch 2',
                '/ 1 *2 3',
                '1 +14h exit',
                '1 14> 2',
                '(13<) 1',
                '(14_) 3',
                '2 exit',
                'exit 1',
                'step-out 14 circle-lead exit',
                '1 2 slip-rear',
            ]),
        );
        $this->limitTo(400)
            ->forAll(Generators::oneOf($few, Chains::any()))
            ->then(static function (Chain $chain) use ($clauses, &$matched): void {
                $sequence = Sequence::of($chain);
                foreach ($clauses as $index => $clause) {
                    $found = 1 === preg_match('/'.$clause->pattern().'/s', $sequence->text());
                    self::assertSame(
                        $clause->matches($sequence),
                        $found === $clause->wanted(),
                        $clause->says().' in '.$sequence->text(),
                    );
                    $matched[$index] += (int) $found;
                }
            });
        self::assertNotContains(0, \array_slice($matched, 0, 18), 'Every pattern is found somewhere.');
    }

    public function testHostileSearchesEndInAProblem(): void
    {
        $texts = [
            str_repeat('has ', 75),
            str_repeat('(', 300),
            str_repeat('1-', 150),
            "\u{202E}has \u{0000} 1",
            'has '.str_repeat('kick then ', 29).'kick',
        ];
        foreach ($texts as $text) {
            $search = self::read($text);
            self::assertNotSame(0, \count($search->problems) + \count($search->clauses));
        }
    }

    private static function read(string $text, string $numbering = 'parity'): SearchQuery
    {
        return (new SearchReader(Numbering::named($numbering), Catalogue::builtIn()))->read($text);
    }
}
