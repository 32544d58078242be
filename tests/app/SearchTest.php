<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\TestWith;

/** Every kind of clause, alone and combined, on a library small enough to see each answer. */
final class SearchTest extends ApiTestCase
{
    /** Chain by name, with the fields that differ from the defaults. */
    private const LIBRARY = [
        'Anchor' => ['1 2 3b exit', ['themes' => ['liver', 'change of height'], 'level' => 1]],
        'Bell rope' => ['2 2 exit', ['themes' => [], 'level' => 2, 'note' => 'Breathe out on both.']],
        'Compass' => [
            '1 step-out 14l exit',
            ['rules' => 'kickboxing', 'themes' => ['low kick', 'angles'], 'level' => 3],
        ],
        'Dock' => ['1 4b', ['stance' => 'southpaw', 'themes' => ['liver'], 'level' => 2]],
        'Ebb tide' => ['1 push 31', ['rules' => 'all-limbs', 'themes' => ['elbows'], 'level' => 3]],
        'Flotsam' => [
            '1 switch 2 exit',
            ['themes' => ['stance work'], 'level' => 3, 'note' => 'No hurry: the tide turns.'],
        ],
        'Gull' => ['(1) 2 3 2 exit', ['themes' => ['feints'], 'level' => 1]],
    ];

    /** @return array<string, list<string>> by search: the names found, in their order */
    private static function finds(): array
    {
        return [
            '' => ['Anchor', 'Bell rope', 'Compass', 'Dock', 'Ebb tide', 'Flotsam', 'Gull'],
            'starts 1' => ['Anchor', 'Compass', 'Dock', 'Ebb tide', 'Flotsam'],
            'starts (1)' => ['Gull'],
            'starts 2' => ['Bell rope'],
            'ends kick' => ['Compass'],
            'ends exit' => ['Anchor', 'Bell rope', 'Compass', 'Flotsam', 'Gull'],
            'ends 2 exit' => ['Bell rope', 'Flotsam', 'Gull'],
            'has 2 3' => ['Anchor', 'Gull'],
            'has 2 3b' => ['Anchor'],
            'has jab then kick' => ['Compass'],
            'no exit' => ['Dock', 'Ebb tide'],
            '"no hurry"' => ['Flotsam'],
            'no switch, ends 2 exit' => ['Bell rope', 'Gull'],
            'length 2' => ['Bell rope', 'Compass', 'Dock', 'Ebb tide', 'Flotsam'],
            'length 3..4' => ['Anchor', 'Gull'],
            'length 4+' => ['Gull'],
            'liver' => ['Anchor', 'Dock'],
            'no liver' => ['Bell rope', 'Compass', 'Ebb tide', 'Flotsam', 'Gull'],
            'outside thigh' => ['Compass'],
            'from southpaw' => ['Dock'],
            'from orthodox level 1' => ['Anchor', 'Gull'],
            'level 3' => ['Compass', 'Ebb tide', 'Flotsam'],
            'rules kickboxing' => ['Compass'],
            'breaks' => ['Ebb tide'],
            'reload' => ['Bell rope'],
            'theme liver' => ['Anchor', 'Dock'],
            'theme low' => ['Compass'],
            'by head' => ['Anchor', 'Compass', 'Ebb tide', 'Gull'],
            'by second' => ['Bell rope', 'Dock', 'Flotsam'],
            'by nobody' => [],
            'proposed' => ['Gull'],
            'archived' => ['Hulk'],
            'archived hulk' => ['Hulk'],
            'archived starts 6' => ['Hulk'],
            'archived starts 1' => [],
            'starts with a jab and ends with an elbow' => ['Ebb tide'],
            'ends with an elbow or a kick' => ['Compass', 'Ebb tide'],
            'contains a jab without exit' => ['Dock', 'Ebb tide'],
            'theme liver or elbows' => ['Anchor', 'Dock', 'Ebb tide'],
            'level 1 or theme elbows' => ['Anchor', 'Ebb tide', 'Gull'],
            'no exit or elbow' => ['Dock'],
            'tide or bell' => ['Bell rope', 'Ebb tide', 'Flotsam'],
            'tide' => ['Ebb tide', 'Flotsam'],
            'tide level 3 starts 1 no switch' => ['Ebb tide'],
            'elbow' => ['Ebb tide'],
            'TIDE' => ['Ebb tide', 'Flotsam'],
            'kickboxing' => ['Compass'],
            'level 3 all limbs' => ['Ebb tide'],
            'southpaw first' => ['Dock'],
            'never drilled, at least 4 strikes' => ['Gull'],
            'hands only, level 3' => ['Flotsam'],
            'kicks only' => [],
            'shorter than 1 s' => ['Dock'],
            'longer than 1 s level 1' => ['Anchor', 'Gull'],
            'new today, level 1' => ['Anchor', 'Gull'],
            '"1 2"' => [],
        ];
    }

    public function testEachClauseFindsWhatItSays(): void
    {
        $this->library();
        foreach (self::finds() as $search => $names) {
            $answer = $this->ask('GET', '/api/combinations?q='.rawurlencode($search));
            self::assertSame([], self::part($answer, 'search')['problems'], $search);
            self::assertSame(
                [$names, \count($names)],
                [array_column((array) $answer->body['combinations'], 'name'), $answer->body['total']],
                $search,
            );
        }
    }

    public function testASearchAndFiltersNarrowEachOther(): void
    {
        $this->library();
        $nameses = [
            'q=starts+1&level=3' => ['Compass', 'Ebb tide', 'Flotsam'],
            'q=starts+1&level=3&weapon=leg' => ['Compass'],
            'q=tide&verdict=breaks' => ['Ebb tide'],
            'weapon=elbow' => ['Ebb tide'],
            'archived=true' => ['Hulk'],
            'archived=true&q=starts+6&weapon=hand' => ['Hulk'],
            'archived=true&weapon=leg' => [],
        ];
        foreach ($nameses as $query => $names) {
            self::assertSame(
                $names,
                array_column((array) $this->ask('GET', '/api/combinations?'.$query)->body['combinations'], 'name'),
                $query,
            );
        }
    }

    public function testAListIsSortedAsItIsAsked(): void
    {
        $this->library();
        $members = ['name' => 'name', 'level' => 'level', 'length' => 'lengthMs', 'updated' => 'updatedAt'];
        foreach ($members as $sort => $member) {
            foreach (['up', 'down'] as $direction) {
                $values = array_column(
                    (array) $this->ask('GET', "/api/combinations?sort=$sort&direction=$direction")->body[
                        'combinations'
                    ],
                    $member,
                );
                $sorted = $values;
                'up' === $direction ? sort($sorted) : rsort($sorted);
                self::assertSame($sorted, $values, "$sort $direction");
            }
        }
    }

    /** Numbers are read and written in the numbering of the coach who asks. */
    public function testNumbersAreThoseOfTheCoachWhoSearches(): void
    {
        $this->library();
        $this->ask('PUT', '/api/me/numbering', ['numbering' => 'body-pairs']);
        $answer = $this->ask('GET', '/api/combinations?q=has+7');

        self::assertSame(['Anchor'], array_column((array) $answer->body['combinations'], 'name'));
        self::assertSame(['1 2 7 exit'], array_column((array) $answer->body['combinations'], 'text'));
        $this->signIn('second');
        self::assertSame(
            [],
            array_column((array) $this->ask('GET', '/api/combinations?q=has+7')->body['combinations'], 'name'),
        );
    }

    /** Nothing is found until the search is corrected; ignoring a part would find too much. */
    /**
     * The order of pick lists: exact name, start of the name, exact chain, start of the chain, then the rest.
     *
     * @param list<string> $names
     */
    #[TestWith(['dock', ['Dock', 'The liver of a dock']])]
    #[TestWith(['the', ['The liver of a dock', 'Flotsam']])]
    #[TestWith(['1 4b', ['Dock']])]
    #[TestWith(['1 push', ['Ebb tide']])]
    #[TestWith(['2 2 exit', ['Bell rope']])]
    #[TestWith(['liver', ['Anchor', 'Dock']])]
    public function testWhatIsClosestToTheTypedTextComesFirst(string $typed, array $names): void
    {
        $this->library();
        $this->ask(
            'POST',
            '/api/combinations',
            self::combination([
                'name' => 'The liver of a dock',
                'text' => '1 1 2 step-back',
                'themes' => [],
                'note' => '',
            ]),
        );
        $rows = $this->ask('GET', '/api/combinations?closest=true&q='.rawurlencode($typed))->body['combinations'];
        self::assertIsArray($rows);

        self::assertSame($names, array_column($rows, 'name'));
    }

    public function testWhatIsClosestStillPassesTheFilters(): void
    {
        $this->library();

        self::assertSame(0, $this->ask('GET', '/api/combinations?closest=true&q=dock&weapon=elbow')->body['total']);
    }

    public function testUnknownWordsAreReportedWithTheirPlace(): void
    {
        $this->library();
        $whats = [
            'starts' => 'starts',
            'level 9' => 'level 9',
            'length x' => 'length x',
            'starts zork' => 'zork',
            'from nowhere' => 'from nowhere',
            'rules none' => 'rules none',
            'drilled often' => 'drilled often',
            'starts with zork' => 'zork',
            'no kick or' => 'or',
        ];
        foreach ($whats as $search => $what) {
            $answer = $this->ask('GET', '/api/combinations?q='.rawurlencode('tide, '.$search));
            $problems = self::part($answer, 'search')['problems'];
            self::assertIsArray($problems);
            self::assertCount(1, $problems);
            self::assertIsArray($problems[0]);
            [$index, $length] = [$problems[0]['at'], $problems[0]['length']];
            self::assertIsInt($index);
            self::assertIsInt($length);
            self::assertSame($what, substr('tide, '.$search, $index, $length));
            self::assertSame([[], 0], [$answer->body['combinations'], $answer->body['total']]);
            foreach (['/api/export.text?', '/api/wall-sheet.pdf?'] as $file) {
                self::assertSame(
                    'unreadable-search',
                    $this->ask('GET', $file.'q='.rawurlencode('tide, '.$search))->type(),
                );
            }
        }
    }

    private function library(): void
    {
        $ids = ['Anchor' => 0, 'Gull' => 0];
        foreach (self::LIBRARY as $name => [$chain, $with]) {
            $this->signIn(\in_array($name, ['Bell rope', 'Dock', 'Flotsam'], true) ? 'second' : 'head');
            $made = $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => $name, 'text' => $chain, 'note' => '', ...$with]),
            );
            self::assertSame(201, $made->status, $made->raw);
            $ids[$name] = $made->id();
        }
        $this->signIn('head');
        $hulk = $this->ask('POST', '/api/combinations', self::combination(['name' => 'Hulk', 'text' => '6 3 2']));
        $this->ask('POST', '/api/combinations/'.$hulk->id().'/archive', null, ['If-Match' => '"1"']);
        $connection = self::service(Connection::class);
        $connection->executeStatement('UPDATE combination SET drilled_at = ? WHERE id = ?', [
            (new \DateTimeImmutable('-5 days'))->format('Y-m-d H:i:s'),
            $ids['Anchor'],
        ]);
        self::assertSame(
            201,
            $this->ask('POST', '/api/proposals', ['kind' => 'retire', 'combination' => $ids['Gull'], 'basedOn' => 1])
                ->status,
        );
    }

    /** @return array<mixed> */
    private static function part(Answer $answer, string $name): array
    {
        $part = $answer->body[$name];

        return \is_array($part) ? $part : self::fail('There is no '.$name);
    }
}
