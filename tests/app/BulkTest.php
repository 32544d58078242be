<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;

/** Bulk changes, themes, and merging two similar combinations. */
final class BulkTest extends ApiTestCase
{
    public function testSeveralAreArchivedAndRestoredTogether(): void
    {
        [$one, $two] = $this->saved();
        $archived = $this->bulk([[$one, 1], [$two, 1]], 'archive');
        self::assertSame(200, $archived->status, $archived->title());
        self::assertSame(0, $this->ask('GET', '/api/combinations')->body['total']);

        $restored = $this->bulk([[$one, 2], [$two, 2]], 'restore');
        self::assertSame(
            [['id' => $one, 'version' => 3], ['id' => $two, 'version' => 3]],
            $restored->body['combinations'],
        );
        self::assertSame(2, $this->ask('GET', '/api/combinations')->body['total']);
    }

    public function testOneThatWasChangedMeanwhileStopsAll(): void
    {
        [$one, $two] = $this->saved();
        $this->ask('PUT', '/api/combinations/'.$two, self::combination(['name' => 'Porch', 'text' => '1 2 3']), [
            'If-Match' => '"1"',
        ]);

        self::assertSame(412, $this->bulk([[$one, 1], [$two, 1]], 'archive')->status);
        self::assertSame(2, $this->ask('GET', '/api/combinations')->body['total'], 'Nothing is archived.');
    }

    public function testATagIsAddedToAllAndTakenAwayAgain(): void
    {
        [$one, $two] = $this->saved();
        $this->bulk([[$one, 1], [$two, 1]], 'tag', ' Warm Up ');
        self::assertSame(['liver', 'warm up'], $this->ask('GET', '/api/combinations/'.$two)->body['themes']);
        self::assertSame(2, $this->ask('GET', '/api/combinations?q=theme+warm')->body['total']);

        $this->bulk([[$one, 2], [$two, 2]], 'untag', 'warm up');
        self::assertSame(['liver'], $this->ask('GET', '/api/combinations/'.$one)->body['themes']);
        self::assertSame(422, $this->bulk([[$one, 3]], 'tag')->status);
    }

    public function testAThemeIsRenamedEverywhereAndMergedWithOneThatIsThere(): void
    {
        [$one, $two] = $this->saved();
        $this->bulk([[$two, 1]], 'tag', 'body');
        self::assertSame(
            [['theme' => 'body', 'combinations' => 1], ['theme' => 'liver', 'combinations' => 2]],
            $this->ask('GET', '/api/themes')->body['themes'],
        );

        self::assertSame(
            ['combinations' => 2],
            $this->ask('POST', '/api/themes/rename', ['from' => 'liver', 'to' => 'body'])->body,
        );
        self::assertSame([['theme' => 'body', 'combinations' => 2]], $this->ask('GET', '/api/themes')->body['themes']);
        self::assertSame(
            [['body'], ['body']],
            [
                $this->ask('GET', '/api/combinations/'.$one)->body['themes'],
                $this->ask('GET', '/api/combinations/'.$two)->body['themes'],
            ],
        );
        self::assertSame(404, $this->ask('POST', '/api/themes/rename', ['from' => 'liver', 'to' => 'body'])->status);
    }

    public function testTwoThatAreMuchAlikeAreFoundAndMerged(): void
    {
        [$one] = $this->saved();
        $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Far off', 'text' => '14l 13h 14h exit', 'rules' => 'kickboxing']),
        );
        $near = $this->ask(
            'POST',
            '/api/combinations',
            self::combination([
                'name' => 'Shutter',
                'text' => '1 2 3 exit',
                'themes' => ['head'],
                'note' => 'High instead.',
            ]),
        )->id();
        $pairs = $this->ask('GET', '/api/near-duplicates')->body['pairs'];
        self::assertIsArray($pairs);
        $named = array_map(
            static fn (mixed $pair): array => \is_array($pair) && \is_array($pair['one']) && \is_array($pair['other'])
                ? [$pair['one']['id'], $pair['other']['id'], $pair['relation']]
                : [],
            $pairs,
        );
        self::assertContains([$one, $near, 'target-differs'], $named);
        self::assertSame([], array_filter($named, static fn (array $pair): bool => \in_array('Far off', $pair, true)));

        $merged = $this->ask('POST', '/api/combinations/merge', [
            'keep' => $one,
            'keepVersion' => 1,
            'drop' => $near,
            'dropVersion' => 1,
        ]);
        self::assertSame(
            [200, ['liver', 'head'], "Under the elbow.\nHigh instead.", '1 2 3b exit'],
            [$merged->status, $merged->body['themes'], $merged->body['note'], $merged->body['notation']],
        );
        self::assertNotNull($this->ask('GET', '/api/combinations/'.$near)->body['archivedAt']);
        self::assertSame(
            422,
            $this->ask('POST', '/api/combinations/merge', [
                'keep' => $one,
                'keepVersion' => 2,
                'drop' => $one,
                'dropVersion' => 2,
            ])->status,
        );
    }

    /** @param list<string> $names */
    #[TestWith(['weapon=leg,elbow', ['Knock']])]
    #[TestWith(['weapon=hand,leg', ['Cellar window', 'Knock', 'Porch']])]
    #[TestWith(['level=1,2&rules=boxing,kickboxing', ['Cellar window', 'Knock']])]
    #[TestWith(['verdict=reload,breaks', ['Porch']])]
    public function testOfSeveralValuesOfAFilterOneHasToHold(string $query, array $names): void
    {
        $this->saved();
        $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Knock', 'text' => '1 2 14l exit', 'rules' => 'kickboxing']),
        );
        self::assertSame($names, $this->names($query));
    }

    #[TestWith(['weapon=foot'])]
    #[TestWith(['weapon=hand,,leg'])]
    #[TestWith(['level=4'])]
    #[TestWith(['ids=1,a'])]
    public function testAFilterThatIsNoneIsRefused(string $query): void
    {
        $this->signIn('head');
        self::assertSame(422, $this->ask('GET', '/api/combinations?'.$query)->status);
    }

    public function testHandsAloneAreFoundUnderBoxingAndSavedAsBoxingUnlessOtherRulesAreChosen(): void
    {
        $this->signIn('head');
        $said = $this->ask('POST', '/api/combinations', self::combination(['name' => 'Said', 'rules' => 'all-limbs']));
        $inferred = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Inferred', 'text' => '1 1 2', 'rules' => null]),
        );
        $kick = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Kick', 'text' => '1 2 14l exit', 'rules' => null]),
        );
        self::assertSame(
            ['all-limbs', 'boxing', 'kickboxing'],
            [$said->body['rules'], $inferred->body['rules'], $kick->body['rules']],
        );
        self::assertSame(['Inferred', 'Said'], $this->names('rules=boxing'));
        self::assertSame(['Inferred', 'Said'], $this->names('q=rules+boxing'));
        self::assertSame('boxing', $this->ask('POST', '/api/check', ['text' => '1 2'])->body['rules']);
    }

    /** TCPDF triggers a deprecation notice at every use. */
    #[IgnoreDeprecations]
    public function testASelectionIsPrintedAsCardsAPageEach(): void
    {
        [$one, $two] = $this->saved();
        $cards = $this->ask('GET', '/api/cards.pdf?ids='.$one.','.$two);
        self::assertSame(200, $cards->status);
        self::assertSame(2, preg_match_all('~/Type /Page\b(?!s)~', $cards->raw));
        self::assertSame(404, $this->ask('GET', '/api/cards.pdf?q=nothing')->status);
    }

    /** @return array{int, int} */
    private function saved(): array
    {
        $this->signIn('head');

        return [
            $this->ask('POST', '/api/combinations', self::combination())->id(),
            $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => 'Porch', 'text' => '2 2 1 1 2 slip-lead 6']),
            )->id(),
        ];
    }

    /** @param list<array{int, int}> $combinations */
    private function bulk(array $combinations, string $action, string $theme = ''): Answer
    {
        return $this->ask('POST', '/api/combinations/bulk', [
            'combinations' => array_map(
                static fn (array $one): array => ['id' => $one[0], 'version' => $one[1]],
                $combinations,
            ),
            'action' => $action,
            'theme' => $theme,
        ]);
    }

    /** @return list<string> */
    private function names(string $query): array
    {
        $rows = $this->ask('GET', '/api/combinations?'.$query)->body['combinations'];
        self::assertIsArray($rows);

        return array_values(
            array_map(
                static fn (mixed $row): string => \is_array($row) && \is_string($row['name']) ? $row['name'] : '',
                $rows,
            ),
        );
    }
}
