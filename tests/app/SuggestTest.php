<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;

final class SuggestTest extends ApiTestCase
{
    public function testMendsSayWhatIsDoneAndWhatItSaves(): void
    {
        $this->signIn('coach');
        $answer = $this->part('mends', ['text' => '1 2 2', 'rules' => 'boxing']);
        $mends = self::rows($answer['mends']);

        self::assertSame(
            ['slip rear before the second cross', '1 2 slip-rear 2', 'flows', 144],
            [$mends[0]['words'], $mends[0]['text'], $mends[0]['verdict'], $mends[0]['savedMs']],
        );
        self::assertSame('reload', $answer['verdict']);
        self::assertContains(
            'no-exit',
            array_column(
                self::rows(
                    $this->part('mends', ['text' => '1 2 2', 'rules' => 'boxing', 'medium' => 'partner'])['findings'],
                ),
                'id',
            ),
        );
    }

    public function testMendsAreWrittenInTheAskedNumberingAndStance(): void
    {
        $this->signIn('coach');
        $mends = self::rows(
            $this->part('mends', ['text' => '2 1 1', 'numbering' => 'hands', 'stance' => 'southpaw'])['mends'],
        );

        self::assertSame('2 1 slip-rear 1', $mends[0]['text']);
        self::assertSame('1 2 slip-rear 2', $mends[0]['notation']);
    }

    public function testUnreadableTextHasNoParts(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/check', ['text' => '1 99', 'with' => ['next', 'similar', 'mends']])->body;

        self::assertCount(1, self::rows($answer['problems']));
        self::assertSame(['after' => null, 'next' => []], $answer['next']);
        self::assertSame(['matches' => [], 'total' => 0], $answer['similar']);
        self::assertIsArray($answer['mends']);
        self::assertSame([], $answer['mends']['mends']);
    }

    /** @return iterable<string, array{string, int|null, int|null}> text, cursor, and the item that is followed */
    public static function cursors(): iterable
    {
        yield 'without a cursor' => ['1 2 3', null, 2];
        yield 'at the end' => ['1 2 3', 5, 2];
        yield 'right behind an item' => ['1 2 3', 1, 0];
        yield 'right before an item' => ['1 2 3', 2, 1];
        yield 'within an item' => ['1 slip lead 3', 6, 1];
        yield 'between items' => ['1   2', 2, 0];
        yield 'before the first' => ['  1 2', 0, 0];
        yield 'behind all of it' => ['1 2', 400, 1];
        yield 'where two items touch' => ['1,2', 1, 0];
        yield 'after a repeated item' => ['double jab', 10, 1];
        yield 'in characters, not bytes' => ['1 → 2 → 3', 5, 1];
        yield 'in an empty line' => ['', 0, null];
    }

    #[DataProvider('cursors')]
    public function testNextFollowsTheCursor(string $text, ?int $caret, ?int $after): void
    {
        $this->signIn('coach');
        self::assertSame($after, $this->part('next', ['text' => $text, 'caret' => $caret])['after']);
    }

    public function testNextSaysHowLongItTakesFromThere(): void
    {
        $this->signIn('coach');
        $wait = fn (string $text, ?int $caret): mixed => array_column(
            self::rows($this->part('next', ['rules' => 'boxing', 'text' => $text, 'caret' => $caret])['next']),
            'waitMs',
            'text',
        )['2'];

        self::assertSame([210, 0, 0], [$wait('1 2', null), $wait('1 2', 1), $wait('', null)]);
    }

    public function testPartsComeAsLinesWithTheMembersOfTheWholeAnswer(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination(['text' => '1 2 2']))->id();
        $request = ['text' => '1 2 2', 'rules' => 'boxing', 'draw' => ['card'], 'with' => ['mends', 'similar', 'next']];
        $whole = $this->ask('POST', '/api/check', $request)->body;
        $lines = explode(
            "\n",
            trim($this->ask('POST', '/api/check', $request, ['Accept' => 'application/x-ndjson'])->raw),
        );
        $parts = array_map(
            static fn (string $line): array => (array) json_decode($line, true, flags: \JSON_THROW_ON_ERROR),
            $lines,
        );

        self::assertSame('no', $this->header('X-Accel-Buffering'));
        self::assertSame(
            ['next', 'similar', 'mends'],
            array_merge(...array_map(array_keys(...), \array_slice($parts, 1))),
            'The quickest first, each alone.',
        );
        self::assertSame($whole, array_merge(...$parts));
        self::assertSame([$id], array_column(self::rows(((array) $whole['similar'])['matches']), 'id'));
        self::assertSame(
            [],
            ((array) $this->ask('POST', '/api/check', [...$request, 'except' => $id])->body['similar'])['matches'],
            'Not similar to itself.',
        );
    }

    public function testARefusalIsOneAnswerAlsoToWhoAcceptsLines(): void
    {
        $this->signIn('coach');
        $answer = $this->ask(
            'POST',
            '/api/check',
            ['text' => '1 2', 'with' => ['horoscope']],
            ['Accept' => 'application/x-ndjson'],
        );

        self::assertSame([422, 'application/problem+json'], [$answer->status, $answer->contentType]);
        self::assertStringContainsString('next, edits, similar or mends', $answer->raw);
    }

    public function testGeneratedChainsAreNotInTheLibraryYet(): void
    {
        $this->signIn('head');
        $criteria = ['rules' => 'boxing', 'length' => 3, 'seed' => 5, 'count' => 4];
        $first = self::rows($this->ask('POST', '/api/generate', $criteria)->body['chains']);
        self::assertCount(4, $first);
        self::assertSame($first, self::rows($this->ask('POST', '/api/generate', $criteria)->body['chains']));
        $this->ask('POST', '/api/combinations', self::combination(['text' => $first[0]['text']]));
        self::assertNotContains(
            $first[0]['text'],
            array_column(self::rows($this->ask('POST', '/api/generate', $criteria)->body['chains']), 'text'),
        );
    }

    public function testCriteriaThatCannotBeMetNameOneToGiveUp(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/generate', ['rules' => 'boxing', 'weapons' => ['elbow']]);

        self::assertSame(
            [
                'criterion' => 'weapons',
                'words' => 'with any weapon',
                'criteria' => ['weapons' => ['hand', 'elbow', 'leg', 'knee']],
            ],
            $answer->body['bent'],
        );
        self::assertNotSame([], $answer->body['chains'], 'The wishes bend to what can be met.');
        self::assertContains('weapons', array_column(self::rows($answer->body['relax']), 'criterion'));
    }

    public function testForBeginnersTheLevelIsTheFirstUnlessAnotherIsAskedFor(): void
    {
        $this->signIn('coach');
        $levels = function (?int $level): array {
            $chains = self::rows(
                $this->ask('POST', '/api/generate', ['length' => 3, 'group' => 'beginners', 'level' => $level])->body[
                    'chains'
                ],
            );

            return array_values(
                array_unique(
                    array_map(static fn (array $chain): int => \is_int($chain['level']) ? $chain['level'] : 0, $chains),
                ),
            );
        };

        self::assertSame([1], $levels(null));
        self::assertSame([2], $levels(2));
    }

    public function testWhatCanBeDoneWithAnItemComesInTheWordsOfTheCoachAndCanBeReadAgain(): void
    {
        $this->signIn('coach');
        $edits = $this->ask('POST', '/api/check', [
            'text' => 'jab, cross, lead hook',
            'with' => ['edits'],
            'caret' => 8,
        ])->body['edits'];
        self::assertIsArray($edits);
        self::assertSame(1, $edits['at']);
        $texts = array_column(self::rows($edits['edits']), 'text', 'name');
        self::assertSame('jab, lead hook', $texts['leave out']);
        self::assertSame('jab, lead hook, cross', $texts['move later']);
        self::assertSame('jab, cross to the body, lead hook', $texts['to the body']);
        self::assertSame('jab, rear uppercut, lead hook', $texts['rear uppercut']);
        foreach (self::rows($edits['edits']) as $edit) {
            $again = $this->ask('POST', '/api/check', ['text' => $edit['text']])->body;
            self::assertSame(
                [[], $edit['verdict'], $edit['lengthMs']],
                [$again['problems'], $again['verdict'], $again['lengthMs']],
                \is_string($edit['text']) ? $edit['text'] : '',
            );
        }
        self::assertSame(
            ['at' => null, 'edits' => []],
            $this->ask('POST', '/api/check', ['text' => 'zork', 'with' => ['edits']])->body['edits'],
        );
    }

    public function testAMendKeepsTheWordsInWhichTheRestWasTyped(): void
    {
        $this->signIn('coach');
        $mends = $this->ask('POST', '/api/check', [
            'text' => 'jab cross cross',
            'rules' => 'boxing',
            'with' => ['mends'],
        ])->body['mends'];
        self::assertIsArray($mends);
        self::assertSame(
            ['jab cross slip rear cross', '1 2 slip-rear 2'],
            [self::rows($mends['mends'])[0]['text'], self::rows($mends['mends'])[0]['notation']],
        );
    }

    /** Relaxing the criterion that an answer names brings as many chains as it says. */
    public function testGivingACriterionUpBringsAsManyAsStated(): void
    {
        $this->signIn('coach');
        $asked = [
            'rules' => 'boxing',
            'length' => 7,
            'weapons' => ['hand'],
            'level' => 1,
            'clean' => 'hint',
            'count' => 6,
            'seed' => 3,
        ];
        $relaxed = self::rows($this->ask('POST', '/api/generate', $asked)->body['relax']);
        self::assertNotSame([], $relaxed);
        foreach ($relaxed as $one) {
            self::assertIsString($one['words']);
            /** @var array<string, mixed> $criteria */
            $criteria = $one['criteria'];
            $answer = $this->ask('POST', '/api/generate', [...$asked, ...$criteria]);
            self::assertSame(200, $answer->status, $one['words']);
            self::assertGreaterThanOrEqual(
                (int) preg_replace('/^.*: /', '', $one['words']),
                \count(self::rows($answer->body['chains'])),
                $one['words'],
            );
        }
    }

    /** @param array<string, mixed> $criterion */
    #[TestWith([['length' => 1]])]
    #[TestWith([['weapons' => []]])]
    #[TestWith([['weapons' => ['tail']]])]
    #[TestWith([['level' => 4]])]
    #[TestWith([['theme' => 'juggling']])]
    #[TestWith([['count' => 1000]])]
    #[TestWith([['clean' => 'spotless']])]
    #[TestWith([['seed' => -1]])]
    #[TestWith([['rules' => 'wrestling']])]
    public function testInvalidCriteriaReturn422(array $criterion): void
    {
        $this->signIn('coach');
        self::assertSame(422, $this->ask('POST', '/api/generate', $criterion)->status);
    }

    /**
     * @param array<string, mixed> $request
     *
     * @return array<string, mixed> what is asked for beside the check
     */
    private function part(string $part, array $request): array
    {
        $answer = $this->ask('POST', '/api/check', [...$request, 'with' => [$part]])->body[$part];
        self::assertIsArray($answer);

        /** @var array<string, mixed> $answer */
        return $answer;
    }

    /** @return list<array<string, mixed>> */
    private static function rows(mixed $rows): array
    {
        self::assertIsArray($rows);

        /** @var list<array<string, mixed>> $rows */
        return $rows;
    }
}
