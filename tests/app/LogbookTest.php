<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Periplus\App\Logbook\Weeks;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/** The logbook over the API: sessions that ran become entries, coaches correct them, and reports count them. */
final class LogbookTest extends ApiTestCase
{
    use ClockSensitiveTrait;

    private MockClock $clock;
    private int $course;
    /** @var array<string, int> ids by name */
    private array $ids = [];

    protected function setUp(): void
    {
        parent::setUp();
        $clock = self::mockTime('2026-11-26 18:00:00');
        self::assertInstanceOf(MockClock::class, $clock);
        $this->clock = $clock;
        $this->signIn('head');
        $texts = [
            'Front porch' => '1 2 3 exit',
            'Cellar window' => '1 2 3b exit',
            'Open the door' => '1 2 exit',
        ];
        foreach ($texts as $name => $text) {
            $this->ids[$name] = $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => $name, 'text' => $text]),
            )->id();
        }
        $this->course = $this->ask('POST', '/api/courses', [
            'name' => 'Tuesday',
            'rules' => 'boxing',
            'levels' => [2],
            'medium' => 'bag',
        ])->id();
        $this->signIn('coach');
    }

    public function testARunBecomesOneEntryByItself(): void
    {
        $run = $this->ran(60);

        $entries = $this->entries();
        self::assertCount(1, $entries);
        self::assertSame(
            [$run, 'Tuesday', '2026-11-26', 60_000, ['Front porch'], false],
            [
                $entries[0]['run'],
                self::at($entries[0], 'course', 'name'),
                $entries[0]['day'],
                $entries[0]['workMs'],
                $entries[0]['combinations'],
                $entries[0]['isChecked'],
            ],
        );
        $this->ask('GET', '/api/logbook/entries');
        self::assertCount(1, $this->entries(), 'however often it is looked at');
    }

    public function testOnlyWhatWasGoneThroughCounts(): void
    {
        $this->ran(25, walls: false);

        self::assertEqualsWithDelta(15_000, $this->entries()[0]['workMs'], 1, 'ten seconds until it began');
    }

    public function testAJumpIsNotDrilled(): void
    {
        $id = $this->started();
        $this->clock->sleep(20);
        $this->ask('POST', "/api/runs/$id/commands", [
            'id' => 'press-0001',
            'kind' => 'jump',
            'seen' => 1,
            'toMs' => 50_000,
        ]);
        $this->clock->sleep(5);
        $this->ask('POST', "/api/runs/$id/commands", ['id' => 'press-0002', 'kind' => 'end', 'seen' => 2]);

        self::assertEqualsWithDelta(15_000, $this->entries()[0]['workMs'], 1, 'ten before the jump and five after it');
    }

    public function testASessionIsLoggedAsPlanned(): void
    {
        $plan = $this->plan();
        $planned = $this->ask('GET', "/api/logbook/planned/$plan")->body;
        self::assertSame(['Tuesday class', 60_000, null], [$planned['name'], $planned['workMs'], $planned['entry']]);
        self::assertEquals(
            [
                [
                    'id' => $this->ids['Front porch'],
                    'name' => 'Front porch',
                    'text' => '1 2 3 exit',
                    'ms' => 60_000,
                    'otherMs' => 0,
                ],
            ],
            $planned['drilled'],
        );

        $entry = $this->ask('POST', '/api/logbook/entries', $this->asPlanned($plan))->body;

        self::assertSame(
            [$plan, 'Tuesday class', 60_000, ['Front porch'], 9, true],
            [
                $entry['plan'],
                $entry['name'],
                $entry['workMs'],
                $entry['combinations'],
                $entry['orthodox'],
                $entry['isChecked'],
            ],
        );
        self::assertSame('2026-11-26', $this->drilledOn('Front porch'));
        self::assertSame($entry['id'], $this->ask('GET', "/api/logbook/planned/$plan")->body['entry']);
    }

    public function testASessionIsLoggedAsPlannedOnce(): void
    {
        $plan = $this->plan();
        $first = $this->ask('POST', '/api/logbook/entries', $this->asPlanned($plan))->id();

        $again = $this->ask('POST', '/api/logbook/entries', $this->asPlanned($plan, 'log-entry-02'));
        self::assertSame([409, 'already-logged'], [$again->status, $again->body['type']]);

        $this->ask('POST', "/api/logbook/entries/$first/remove", [], ['If-Match' => '"1"']);
        $this->ask('POST', '/api/logbook/entries', $this->asPlanned($plan, 'log-entry-03'));
        self::assertCount(1, $this->entries(), 'the deleted one does not count');
    }

    public function testWhatWasDrilledInsteadOfThePlanCounts(): void
    {
        $entry = $this->ask('POST', '/api/logbook/entries', [
            ...$this->asPlanned($this->plan()),
            'combinations' => [['combination' => $this->ids['Cellar window'], 'minutes' => 2]],
        ])->body;

        self::assertSame([['Cellar window'], 120_000], [$entry['combinations'], $entry['workMs']]);
    }

    public function testTodayNamesWhatComesWhatIsDueAndWhatWasNotLogged(): void
    {
        $today = fn (): array => $this->ask('GET', '/api/today')->body;
        $ids = static fn (mixed $plans): array => array_column((array) $plans, 'id');
        $plan = $this->plan();
        self::assertSame([[$plan], []], [$ids($today()['sessions']), $ids($today()['unlogged'])]);

        $this->clock->sleep(3600);
        self::assertSame([[], [$plan]], [$ids($today()['sessions']), $ids($today()['unlogged'])]);

        $second = $this->plan();
        $this->ask('POST', '/api/logbook/entries', $this->asPlanned($plan));
        self::assertSame([$second], $ids($today()['unlogged']), 'a second session of the course that day');
        $this->ask('POST', '/api/logbook/entries', $this->asPlanned($second, 'log-entry-09'));
        self::assertSame([], $ids($today()['unlogged']));

        $this->clock->sleep(8 * 86_400);
        $next = $this->ask('POST', '/api/plans', PlanTest::plan([
            'course' => $this->course,
            'startsAt' => '2026-12-04T20:00',
        ]))->id();
        self::assertSame([$next], $ids($today()['sessions']));
        self::assertSame(
            [['course' => $this->course, 'name' => 'Tuesday', 'combinations' => 1]],
            $today()['due'],
            'a week after the first time',
        );
    }

    public function testASessionIsLoggedByAnEntryOfItsDayAndCourse(): void
    {
        $this->plan();
        $this->clock->sleep(3600);
        $this->ask('POST', '/api/logbook/entries', [
            'id' => 'log-entry-04',
            'day' => '2026-11-26',
            'course' => $this->course,
            'note' => 'Free work.',
        ]);

        self::assertSame([], $this->ask('GET', '/api/today')->body['unlogged']);
    }

    public function testARehearsalIsNotLogged(): void
    {
        $id = $this->ask('POST', '/api/runs', ['id' => 'start-0009', 'plan' => $this->plan(), 'speed' => 10])->id();
        $this->clock->sleep(15);
        $this->ask('POST', "/api/runs/$id/commands", ['id' => 'press-0009', 'kind' => 'end', 'seen' => 1]);

        self::assertSame([], $this->entries());
    }

    public function testWhatAWallReportsLaterIsTakenInOnceAndLeavesWhatTheCoachSaid(): void
    {
        $key = $this->ask('POST', '/api/walls', ['name' => 'Floor'])->body['key'];
        self::assertIsString($key);
        $id = $this->started();
        $this->clock->sleep(700);
        // Nobody ended the session; the wall was offline and reports now.
        $entry = $this->entries()[0];
        $entryId = $entry['id'];
        self::assertIsInt($entryId);
        $this->correct($entryId, 1, ['effort' => 7, 'note' => 'Warm.']);
        $zero = 1000 * strtotime('2026-11-26 18:00:10 UTC');
        $shown = [
            ['passage' => 'start-0001', 'cue' => '0-all-bell-1', 'atMs' => $zero],
            ['passage' => 'start-0001', 'cue' => '50000-all-last-ten-1', 'atMs' => $zero + 50_000],
            ['passage' => 'start-0001', 'cue' => '60000-all-end-1', 'atMs' => $zero + 60_000],
        ];
        foreach ([1, 2] as $time) {
            self::assertSame(
                204,
                $this->ask('POST', "/api/screens/$key/shown", ['run' => $id, 'shown' => $shown])->status,
                'time '.$time,
            );
        }

        $entries = $this->entries();
        self::assertSame(
            [1, 7, 'Warm.', 60_000],
            [\count($entries), $entries[0]['effort'], $entries[0]['note'], $entries[0]['workMs']],
        );
    }

    public function testTheSameEntryByHandTwiceIsOne(): void
    {
        $first = $this->log('2026-11-20', ['Front porch' => 6]);
        $again = $this->log('2026-11-20', ['Front porch' => 6]);

        self::assertSame($first['id'], $again['id']);
        self::assertCount(1, $this->entries());
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['day' => '2026-11-27'], 'This day is in the future. Plan the session instead of logging it.'])]
    #[TestWith([['day' => '2026-02-30'], 'There is no such day.'])]
    #[TestWith([['day' => 'Friday'], 'A day is written as 2026-11-26.'])]
    #[TestWith([['effort' => 11], 'Effort is 0 to 10.'])]
    #[TestWith([['orthodox' => -1], '0 to 500 athletes.'])]
    #[TestWith([['levels' => ['4' => 2]], 'The level is 1, 2 or 3.'])]
    #[TestWith([['coach' => 999999], 'There is no such coach.'])]
    #[TestWith([
        ['combinations' => [['combination' => 999999, 'minutes' => 3]]],
        'There is no such combination in the library.',
    ]),]
    #[TestWith([
        ['combinations' => [['combination' => 1, 'minutes' => 0]]],
        'A combination is drilled 0.5 to 120 minutes.',
    ]),]
    #[TestWith([['id' => null], 'A new entry needs an id.'])]
    #[TestWith([['note' => " \n"], 'Say what was drilled, or write a note.'])]
    public function testAWrongEntryIsRefusedWithItsPlace(array $with, string $message): void
    {
        $answer = $this->ask(
            'POST',
            '/api/logbook/entries',
            ['id' => 'entry-0001', 'day' => '2026-11-20', 'note' => 'Guests.', ...$with],
        );

        self::assertSame(422, $answer->status, $answer->raw);
        /** @var list<array{message: string}> $violations */
        $violations = $answer->body['violations'];
        self::assertSame([$message], array_column($violations, 'message'));
        self::assertSame([], $this->entries());
    }

    public function testTwoCoachesDoNotOverwriteEachOther(): void
    {
        $id = $this->logged('2026-11-20', ['Front porch' => 6]);
        self::assertSame(200, $this->correct($id, 1, ['effort' => 5])->status);
        $late = $this->correct($id, 1, ['effort' => 9]);

        self::assertSame([412, 'changed-meanwhile'], [$late->status, $late->type()]);
        self::assertSame(5, $this->entries()[0]['effort']);
    }

    public function testWhatIsTakenOutCountsNoMoreUntilItIsPutBack(): void
    {
        $id = $this->logged('2026-11-20', ['Front porch' => 6]);
        self::assertSame('2026-11-20', $this->drilledOn('Front porch'));
        $this->ask('POST', "/api/logbook/entries/$id/remove", null, ['If-Match' => '"1"']);

        self::assertNull($this->drilledOn('Front porch'));
        self::assertSame([], $this->entries());
        self::assertSame(0, $this->worked());
        $this->ask('POST', "/api/logbook/entries/$id/restore", null, ['If-Match' => '"2"']);
        self::assertSame('2026-11-20', $this->drilledOn('Front porch'));
        self::assertCount(1, $this->entries());
        self::assertSame(360_000, $this->worked());
    }

    /** @param list<string> $names */
    #[TestWith(['drilled', ['Cellar window', 'Front porch']])]
    #[TestWith(['drilled never', ['Open the door']])]
    #[TestWith(['drilled 2 weeks', ['Cellar window']])]
    #[TestWith(['not drilled for 14 days', ['Front porch', 'Open the door']])]
    public function testTheLibraryIsSearchedByTheLogbook(string $search, array $names): void
    {
        $this->log('2026-10-20', ['Front porch' => 6]);
        $this->log('2026-11-20', ['Cellar window' => 6]);

        self::assertSame(
            $names,
            array_column($this->list('/api/combinations?q='.rawurlencode($search), 'combinations'), 'name'),
        );
    }

    public function testTheLibraryIsSortedByTheLastTime(): void
    {
        $this->log('2026-10-20', ['Front porch' => 6]);
        $this->log('2026-11-20', ['Cellar window' => 6]);

        self::assertSame(
            ['Open the door', 'Front porch', 'Cellar window'],
            array_column($this->list('/api/combinations?sort=drilled', 'combinations'), 'name'),
        );
    }

    public function testReportsAreARecountOfTheRawRows(): void
    {
        $this->log('2026-11-03', ['Front porch' => 6, 'Cellar window' => 4.5], ['orthodox' => 9, 'southpaw' => 3]);
        $this->log('2026-11-05', ['Front porch' => 3], ['orthodox' => 4, 'southpaw' => 4]);
        $this->log('2026-11-17', ['Cellar window' => 10], [], 'both');
        $removed = $this->logged('2026-11-18', ['Cellar window' => 30]);
        $this->ask('POST', "/api/logbook/entries/$removed/remove", null, ['If-Match' => '"1"']);
        $rows = self::service(Connection::class)->fetchAllAssociative(
            'SELECT d.*, e.day, e.orthodox, e.southpaw FROM log_drilled d JOIN log_entry e ON e.id = d.entry_id '
                .'WHERE e.removed_at IS NULL',
        );

        // "1 2 3" is a left, a right and a left for an orthodox athlete; all to the head, except the third of the other
        // chain.
        $left = $right = $body = $strikes = $southpawMs = $ms = 0.0;
        foreach ($rows as $row) {
            /**
             * @var array{
             *     notation: string,
             *     repetitions: float|string,
             *     ms: int|string,
             *     other_ms: int|string,
             *     orthodox: int|string|null,
             *     southpaw: int|string|null,
             * } $row
             */
            $all = (int) $row['orthodox'] + (int) $row['southpaw'];
            $own = 0 === $all ? 0.0 : (int) $row['southpaw'] / $all;
            $other = (int) $row['other_ms'] / (int) $row['ms'];
            $inSouthpaw = $own * (1 - $other) + (1 - $own) * $other;
            $times = (float) $row['repetitions'];
            $strikes += 3 * $times;
            $left += $times * (2 * (1 - $inSouthpaw) + $inSouthpaw);
            $right += $times * (2 * $inSouthpaw + 1 - $inSouthpaw);
            $body += str_contains($row['notation'], '3b') ? $times : 0.0;
            $ms += (int) $row['ms'];
            $southpawMs += $inSouthpaw * (int) $row['ms'];
        }
        $sum = $this->load();

        self::assertGreaterThan(100, $strikes);
        self::assertEqualsWithDelta(
            [$strikes, $left, $right, $body],
            [
                $sum['strikes'],
                self::at($sum, 'sides', 'left'),
                self::at($sum, 'sides', 'right'),
                self::at($sum, 'targets', 'body'),
            ],
            0.5,
        );
        self::assertEqualsWithDelta(
            [$ms, $southpawMs, $ms - $southpawMs],
            [$sum['workMs'], self::at($sum, 'stanceMs', 'southpaw'), self::at($sum, 'stanceMs', 'orthodox')],
            5.0,
        );
        self::assertSame(3, $sum['sessions']);
        self::assertEqualsWithDelta($sum['openings'], $sum['jabOpenings'], 0.1, 'all begin with a jab');
    }

    public function testTheReportOfCombinationsIsARecountOfTheRawRows(): void
    {
        $this->log('2026-11-03', ['Front porch' => 6, 'Cellar window' => 4.5]);
        $this->log(
            '2026-11-05',
            ['Front porch' => 3],
            ['fallen' => [['notation' => '1 2 3 exit', 'stance' => 'orthodox', 'link' => 1]]],
        );
        $rows = self::service(Connection::class)->fetchAllKeyValue(
            'SELECT combination_id, SUM(ms) FROM log_drilled GROUP BY combination_id',
        );
        $report = $this->ask('GET', '/api/reports/drilled?from=2026-11-01&to=2026-11-26&sort=minutes&direction=down');

        /** @var list<array{combination: array{id: int}, times: int, ms: int, last: string, fell: int}> $listed */
        $listed = $report->body['rows'];
        self::assertEquals(
            $rows,
            array_column(
                array_map(static fn (array $row): array => [$row['combination']['id'], $row['ms']], $listed),
                1,
                0,
            ),
        );
        self::assertSame(
            [[2, '2026-11-05', 1], [1, '2026-11-03', 0]],
            array_map(static fn (array $row): array => [$row['times'], $row['last'], $row['fell']], $listed),
        );
        self::assertSame(1, $report->body['never']);
    }

    public function testTheSumsOfWeeksAreARecountOfTheEntries(): void
    {
        $this->log('2026-11-03', ['Front porch' => 6]);
        $this->log('2026-11-05', ['Cellar window' => 3]);
        $id = $this->logged('2026-11-17', ['Cellar window' => 10]);
        $this->correct($id, 1, ['day' => '2026-11-04', 'orthodox' => 2, 'southpaw' => 6]);
        $kept = self::service(Connection::class)->fetchAllAssociative(
            'SELECT * FROM log_week ORDER BY week, course_id',
        );
        self::service(Weeks::class)->recountAll();

        self::assertCount(1, $kept);
        self::assertSame(
            $kept,
            self::service(Connection::class)->fetchAllAssociative('SELECT * FROM log_week ORDER BY week, course_id'),
        );
    }

    public function testALinkThatFellApartIsComparedWithTheCheck(): void
    {
        foreach (['2026-11-03', '2026-11-05', '2026-11-10'] as $day) {
            $this->log(
                $day,
                ['Front porch' => 3],
                ['fallen' => [['notation' => '1 2 3 exit', 'stance' => 'orthodox', 'link' => 1]]],
            );
        }
        /**
         * @var list<array{
         *     link: int,
         *     from: string,
         *     to: string,
         *     fell: int,
         *     times: int,
         *     check: array{verdict: string},
         *     disagrees: bool,
         *     of: string,
         * }> $links
         */
        $links = $this->ask('GET', '/api/reports/links')->body['links'];

        self::assertCount(1, $links);
        self::assertSame(
            [1, 'cross', 'lead hook', 3, 3, 'flows', true, 'lead-hook'],
            [
                $links[0]['link'],
                $links[0]['from'],
                $links[0]['to'],
                $links[0]['fell'],
                $links[0]['times'],
                $links[0]['check']['verdict'],
                $links[0]['disagrees'],
                $links[0]['of'],
            ],
        );
    }

    public function testWhatHeldComesBackLaterAndWhatFellApartSooner(): void
    {
        foreach (['2026-11-03', '2026-11-10', '2026-11-17'] as $day) {
            $this->log(
                $day,
                ['Front porch' => 3, 'Cellar window' => 3],
                [
                    'fallen' => '2026-11-17' === $day
                            ? [['notation' => '1 2 3b exit', 'stance' => 'orthodox', 'link' => 2]]
                            : [],
                ],
            );
        }
        /**
         * @var list<array{
         *     combination: array{name: string},
         *     interval: int,
         *     day: string,
         *     overdue: int,
         *     held: bool,
         * }> $due
         */
        $due = $this->ask('GET', "/api/courses/{$this->course}/due")->body['due'];

        self::assertSame(
            [['Cellar window', 7, '2026-11-24', 2, false], ['Front porch', 28, '2026-12-15', -19, true]],
            array_map(
                static fn (array $one): array => [
                    $one['combination']['name'],
                    $one['interval'],
                    $one['day'],
                    $one['overdue'],
                    $one['held'],
                ],
                $due,
            ),
        );
    }

    public function testTheFaultsThatWereSeenAreCountedByMonthAndComeWithWhatIsDue(): void
    {
        $seen = static fn (string $fault): array => [
            'fallen' => [
                ['notation' => '1 2 3 exit', 'stance' => 'orthodox', 'link' => 1, 'fault' => $fault],
                ['notation' => '1 2 3 exit', 'stance' => 'orthodox', 'link' => 2],
            ],
        ];
        $this->log('2026-10-27', ['Front porch' => 3], $seen('the arm goes without the hip'));
        $this->log('2026-11-03', ['Front porch' => 3], $seen('the arm goes without the hip'));
        $this->log('2026-11-10', ['Front porch' => 3], $seen(' the arm swings wide '));

        $report = $this->ask('GET', '/api/reports/faults?from=2026-10-01&to=2026-11-26')->body;
        self::assertSame(['2026-10', '2026-11'], $report['months']);
        /**
         * @var list<array{
         *     fault: string,
         *     mend: string|null,
         *     times: int,
         *     last: string,
         *     months: array<string, int>,
         *     combinations: list<array{name: string}>,
         * }> $faults
         */
        $faults = $report['faults'];
        self::assertSame(
            [
                ['the arm goes without the hip', 'hip and hand arrive together', 2, '2026-11-03'],
                ['the arm swings wide', 'elbow level with the fist', 1, '2026-11-10'],
            ],
            array_map(
                static fn (array $one): array => [$one['fault'], $one['mend'], $one['times'], $one['last']],
                $faults,
            ),
        );
        self::assertSame(['2026-10' => 1, '2026-11' => 1], $faults[0]['months']);
        self::assertSame('Front porch', $faults[0]['combinations'][0]['name']);
        self::assertSame(
            [],
            $this->ask('GET', '/api/reports/faults?from=2026-11-11&to=2026-11-26')->body['faults'],
        );

        /** @var list<array{faults: list<string>}> $due */
        $due = $this->ask('GET', "/api/courses/{$this->course}/due")->body['due'];
        self::assertSame(['the arm swings wide'], $due[0]['faults'], 'those of the last time alone');
    }

    public function testWhatWasPlannedStandsBesideWhatWasDone(): void
    {
        /** @var array<string, int> $ids */
        $ids = self::service(Connection::class)->fetchAllKeyValue('SELECT name, id FROM combination');
        $set = [
            'drill' => 'repeat',
            'combinations' => [
                ['chain' => '1 2 3 exit', 'id' => $ids['Front porch'], 'name' => 'Front porch'],
                ['chain' => '1 2 3b exit', 'id' => $ids['Cellar window'], 'name' => 'Cellar window'],
            ],
        ];
        $round = ['seconds' => 600, 'rest' => 0, 'sets' => [$set]];
        $plan = fn (string $day): int => $this->ask('POST', '/api/plans', [
            'name' => 'Planned',
            'course' => $this->course,
            'startsAt' => $day.'T18:00',
            'content' => ['blocks' => [['kind' => 'rounds', 'name' => 'Rounds', 'rounds' => [$round]]]],
        ])->id();
        $done = $plan('2026-11-17');
        $waiting = $plan('2026-11-19');
        $this->log('2026-11-17', ['Front porch' => 6], ['plan' => $done]);
        // An entry of the course and day without a plan is of the session that was planned for it.
        $byHand = $plan('2026-11-12');
        $this->log('2026-11-12', ['Front porch' => 3, 'Cellar window' => 3]);

        $report = $this->ask('GET', '/api/reports/planned?from=2026-11-01&to=2026-11-26')->body;
        /**
         * @var list<array{
         *     plan: int,
         *     entry: int|null,
         *     plannedMs: int,
         *     doneMs: int|null,
         *     left: list<array{name: string}>,
         *     added: list<mixed>,
         * }> $sessions
         */
        $sessions = $report['sessions'];
        self::assertSame([$waiting, $done, $byHand], array_column($sessions, 'plan'), 'the latest first');
        self::assertNotNull($sessions[2]['entry']);
        self::assertSame([], $sessions[2]['left']);
        self::assertNull($sessions[0]['entry']);
        self::assertSame([600_000, []], [$sessions[0]['plannedMs'], $sessions[0]['left']]);
        self::assertSame(['Cellar window'], array_column($sessions[1]['left'], 'name'));
        self::assertSame([], $sessions[1]['added']);
        self::assertSame([2, 1_200_000], [$report['logged'], $report['plannedMs']]);
        self::assertSame(
            [],
            $this->ask('GET', '/api/reports/planned?from=2026-11-20&to=2026-11-26')->body['sessions'],
        );
    }

    public function testTheSidesOfEachLimbAddUpToTheSides(): void
    {
        $this->log('2026-11-17', ['Front porch' => 6]);
        /** @var array{sides: array<string, float>, limbSides: array<string, array<string, float>>} $sum */
        $sum = $this->ask('GET', '/api/reports/load?from=2026-11-01&to=2026-11-26')->body['sum'];
        self::assertGreaterThan(0.0, $sum['sides']['left']);
        foreach ($sum['sides'] as $side => $strikes) {
            self::assertEqualsWithDelta($strikes, array_sum(array_column($sum['limbSides'], $side)), 0.3);
        }
    }

    public function testALinkOffersTheFaultsOfTheGymAndKeepsTheOneThatWasSeen(): void
    {
        $id = $this->logged('2026-11-17', ['Front porch' => 3]);
        /** @var list<array{fallen: list<mixed>, faults: list<list<array{text: string}>>}> $drilled */
        $drilled = $this->ask('GET', "/api/logbook/entries/$id")->body['drilled'];
        self::assertCount(3, $drilled[0]['faults']);
        self::assertContains('the arm swings wide', array_column($drilled[0]['faults'][1], 'text'));

        $link = ['notation' => '1 2 3 exit', 'stance' => 'orthodox', 'link' => 1, 'fault' => 'the arm swings wide'];
        $this->correct($id, 1, ['day' => '2026-11-17', 'fallen' => [$link]]);
        /** @var list<array{fallen: list<mixed>}> $drilled */
        $drilled = $this->ask('GET', "/api/logbook/entries/$id")->body['drilled'];
        self::assertSame([['link' => 1, 'fault' => 'the arm swings wide']], $drilled[0]['fallen']);
    }

    public function testAFileOfAnEarlierVersionHasNoFaults(): void
    {
        $this->log('2026-11-03', ['Front porch' => 6]);
        $lines = explode("\n", $this->ask('GET', '/api/logbook/logbook.csv')->raw);
        $old = implode("\n", array_map(
            static fn (string $line): string => (string) preg_replace('/,(faults|"")?\r?$/', '', $line),
            $lines,
        ));
        $this->signIn('head');
        $answer = $this->ask('POST', '/api/logbook/import', $old, ['Content-Type' => 'text/plain']);
        self::assertSame([200, 1], [$answer->status, $answer->body['known'] ?? null], $answer->raw);
    }

    public function testTheHouseRulesBoundTheSchedule(): void
    {
        $this->log('2026-11-17', ['Front porch' => 3]);
        $this->signIn('head');
        $change = HouseRulesTest::change();
        /** @var array<string, int|float> $thresholds */
        $thresholds = $change['thresholds'];
        $preview = $this->ask('POST', '/api/house-rules/boxing/rule-previews', [
            ...$change,
            'thresholds' => [...$thresholds, 'due-first' => 2, 'due-least' => 2],
        ])->id();
        do {
            $state = $this->ask('POST', "/api/rule-previews/$preview/advance")->body['state'];
        } while ('ready' !== $state && 'saved' !== $state && 'done' !== $state);
        self::assertSame(200, $this->ask('POST', "/api/rule-previews/$preview/save")->status);

        self::assertSame('2026-11-19', self::at($this->list("/api/courses/{$this->course}/due", 'due')[0], 'day'));
    }

    public function testPlanningInOnePressTakesWhatIsDueFirst(): void
    {
        $this->log('2026-11-20', ['Front porch' => 3, 'Open the door' => 3]);
        $this->log('2026-11-01', ['Cellar window' => 3]);
        $answer = $this->ask('POST', '/api/plans/compose', [
            'course' => $this->course,
            'minutes' => 30,
            'aim' => 'due',
        ]);

        /** @var list<array{message: string}> $reasons */
        $reasons = $answer->body['reasons'];
        self::assertStringContainsString(
            'Cellar window: due for 18 days, drilled once so far, last on 2026-11-01',
            implode("\n", array_column($reasons, 'message')),
        );
    }

    public function testTheWayToACombinationGoesThroughTheLibrary(): void
    {
        $this->log('2026-11-20', ['Open the door' => 3]);
        $goal = $this->ask('GET', "/api/courses/{$this->course}/path?to=".$this->ids['Front porch'])->body;

        self::assertTrue($goal['found']);
        /** @var list<array{id: int|null, name: string, new: list<array{says: string}>, verdict: string}> $steps */
        $steps = $goal['steps'];
        self::assertSame(
            [null, $this->ids['Front porch']],
            array_column($steps, 'id'),
            'a bridge, since two links are new at once: to the hook, and out of it',
        );
        self::assertSame(['flows', 'flows'], array_column($steps, 'verdict'));
        foreach ($steps as $step) {
            self::assertLessThanOrEqual(1, \count($step['new']));
        }
    }

    #[TestWith(['json'])]
    #[TestWith(['csv'])]
    public function testAFileComesInAgainWithoutDoubling(string $format): void
    {
        $this->log(
            '2026-11-03',
            ['Front porch' => 6, 'Cellar window' => 4.5],
            [
                'orthodox' => 9,
                'southpaw' => 3,
                'levels' => ['2' => 12],
                'effort' => 6,
                'note' => "Two lines,\n\"quoted\"; and =1+1",
                'fallen' => [
                    ['notation' => '1 2 3 exit', 'stance' => 'orthodox', 'link' => 0],
                    [
                        'notation' => '1 2 3 exit',
                        'stance' => 'orthodox',
                        'link' => 1,
                        'fault' => 'the arm goes without the hip',
                    ],
                ],
            ],
        );
        $this->log('2026-11-05', [], ['note' => 'Open mat.']);
        $file = $this->ask('GET', '/api/logbook/logbook.'.$format)->raw;
        $before = $this->state();
        $this->signIn('head');
        $again = $this->ask('POST', '/api/logbook/import', $file, ['Content-Type' => 'text/plain']);
        self::assertSame(
            [200, 0, 2],
            [$again->status, $again->body['new'] ?? null, $again->body['known'] ?? null],
            $again->raw,
        );
        self::assertSame($before, $this->state());

        // Into an empty logbook, as in another gym.
        foreach (['log_fallen_link', 'log_combination', 'log_drilled', 'log_entry', 'log_week'] as $table) {
            self::service(Connection::class)->executeStatement('DELETE FROM '.$table);
        }
        $fresh = $this->ask('POST', '/api/logbook/import', $file, ['Content-Type' => 'text/plain']);
        self::assertSame([2, 0], [$fresh->body['new'], $fresh->body['known']]);
        self::assertSame($before, $this->state());
    }

    #[TestWith(['nonsense', 'This is not a Periplus logbook: the first line does not name its columns.'])]
    #[TestWith([
        '{"format":"periplus-library"}',
        'This is not a Periplus logbook. Import a JSON or CSV file that was exported by Periplus.',
    ]),]
    #[TestWith(['{"format":"periplus-logbook","entries":[{"day":"2026-11-01"}]}', 'Entry 1 of the file has no key.'])]
    #[TestWith([
        '{"format":"periplus-logbook","entries":[{"key":"entry-77","day":"1 May"}]}',
        'Entry entry-77: “1 May” is not a day. Write it as 2026-11-26.',
    ]),]
    public function testAFileThatIsNoLogbookIsRefusedAndNothingComesIn(string $file, string $message): void
    {
        $this->signIn('head');
        $answer = $this->ask('POST', '/api/logbook/import', $file, ['Content-Type' => 'text/plain']);

        self::assertSame([422, $message], [$answer->status, $answer->title()]);
        self::assertSame([], $this->entries());
    }

    #[IgnoreDeprecations]
    public function testTheFaultsOfAMonthStandOnItsPageWithWhatMendsThem(): void
    {
        foreach (['2026-10-27', '2026-11-03', '2026-11-10'] as $day) {
            $this->log($day, ['Front porch' => 3], ['fallen' => [[
                'notation' => '1 2 3 exit',
                'stance' => 'orthodox',
                'link' => 1,
                'fault' => 'the arm swings wide',
            ]]]);
        }
        /** @var list<array{fault: string, mend: string, times: int}> $faults */
        $faults = $this->ask('GET', '/api/reports/month?month=2026-11')->body['faults'];
        self::assertSame(
            [['the arm swings wide', 'elbow level with the fist', 2]],
            array_map(static fn (array $one): array => [$one['fault'], $one['mend'], $one['times']], $faults),
        );
        $path = (string) tempnam(sys_get_temp_dir(), 'month');
        file_put_contents($path, $this->ask('GET', '/api/reports/month.pdf/2026-11')->raw);
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($path).' -');
        unlink($path);
        self::assertStringContainsString('Faults that were seen', $text);
        self::assertStringContainsString('the arm swings wide, in 2 sessions: elbow level with the fist', $text);
    }

    /** TCPDF triggers a deprecation notice at every use. */
    #[IgnoreDeprecations]
    public function testAMonthComesAsAPageAndAsATable(): void
    {
        $this->log('2026-10-06', ['Cellar window' => 6]);
        $this->log('2026-11-03', ['Front porch' => 6], ['orthodox' => 10, 'southpaw' => 2, 'effort' => 6]);
        $month = $this->ask('GET', '/api/reports/month?month=2026-11');
        self::assertSame(
            [1, 360_000, 12],
            [$month->body['sessions'], $month->body['workMs'], $month->body['athletes']],
        );
        self::assertSame(30, \count((array) $month->body['days']));
        $pdf = $this->ask('GET', '/api/reports/month.pdf/2026-11');
        self::assertStringStartsWith('%PDF-', $pdf->raw);
        $lines = explode("\r\n", trim($this->ask('GET', '/api/reports/month.csv/2026-11')->raw));
        self::assertCount(2, $lines);
        self::assertStringStartsWith('2026-11-03,Tuesday,Tuesday,Coach Coach,6,10,2,6,', $lines[1]);
    }

    #[TestWith([
        '/api/reports/load?from=2026-12-01&to=2026-11-01',
        'The first day is after the last one. Swap them.',
    ]),]
    #[TestWith([
        '/api/reports/links?from=yesterday',
        'A day is written as 2026-11-26; the logbook reaches from 1990 to 2100.',
    ]),]
    #[TestWith([
        '/api/reports/month?month=2026-13',
        'A month is written as 2026-11; the logbook reaches from 1990 to 2100.',
    ]),]
    public function testAWrongPeriodIsRefused(string $path, string $message): void
    {
        self::assertSame([422, $message], [($answer = $this->ask('GET', $path))->status, $answer->title()]);
    }

    /** @param array<string, mixed> $with */
    private function correct(int $id, int $version, array $with): Answer
    {
        return $this->ask(
            'PUT',
            '/api/logbook/entries/'.$id,
            ['day' => '2026-11-26', 'course' => $this->course, ...$with],
            ['If-Match' => '"'.$version.'"'],
        );
    }

    /**
     * @param array<string, int|float> $minutes by the name of the combination
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private function log(string $day, array $minutes, array $with = [], string $stance = 'own'): array
    {
        $answer = $this->ask('POST', '/api/logbook/entries', [
            'id' => 'entry-'.$day,
            'day' => $day,
            'course' => $this->course,
            'combinations' => array_map(
                fn (string $name, int|float $long): array => [
                    'combination' => $this->ids[$name],
                    'minutes' => $long,
                    'stance' => $stance,
                ],
                array_keys($minutes),
                $minutes,
            ),
            ...$with,
        ]);
        self::assertSame(201, $answer->status, $answer->raw);

        return $answer->body;
    }

    /**
     * @param array<string, int|float> $minutes
     * @param array<string, mixed> $with
     *
     * @return int its id
     */
    private function logged(string $day, array $minutes, array $with = [], string $stance = 'own'): int
    {
        $id = $this->log($day, $minutes, $with, $stance)['id'];
        self::assertIsInt($id);

        return $id;
    }

    private function plan(): int
    {
        return $this->ask('POST', '/api/plans', [
            'name' => 'Tuesday class',
            'course' => $this->course,
            'startsAt' => '2026-11-26T18:00',
            'content' => [
                'name' => 'Tuesday class',
                'rules' => 'boxing',
                'numbering' => 'parity',
                'blocks' => [
                    [
                        'kind' => 'rounds',
                        'rounds' => [
                            [
                                'seconds' => 60,
                                'sets' => [
                                    [
                                        'drill' => 'repeat',
                                        'combinations' => [
                                            [
                                                'chain' => '1 2 3 exit',
                                                'stance' => 'orthodox',
                                                'name' => 'Front porch',
                                                'id' => $this->ids['Front porch'],
                                                'version' => 1,
                                            ],
                                        ],
                                    ],
                                ],
                            ],
                        ],
                    ],
                ],
            ],
        ])->id();
    }

    /** @return array<string, mixed> */
    private function asPlanned(int $plan, string $id = 'log-entry-01'): array
    {
        return [
            'id' => $id,
            'day' => '2026-11-26',
            'course' => $this->course,
            'plan' => $plan,
            'orthodox' => 9,
            'southpaw' => 2,
        ];
    }

    private function started(): int
    {
        return $this->ask('POST', '/api/runs', ['id' => 'start-0001', 'plan' => $this->plan()])->id();
    }

    /** Runs a session for so many seconds, with ten more before it starts. */
    private function ran(int $seconds, bool $walls = true): int
    {
        $id = $this->started();
        $this->clock->sleep($seconds + ($walls ? 10 : 0));
        $this->ask('POST', "/api/runs/$id/commands", ['id' => 'press-0100', 'kind' => 'end', 'seen' => 1]);

        return $id;
    }

    /** @return list<array<string, mixed>> */
    private function entries(): array
    {
        return $this->list('/api/logbook/entries', 'entries');
    }

    /** @return array<string, mixed> */
    private function load(): array
    {
        $sum = $this->ask('GET', '/api/reports/load?from=2026-09-01&to=2026-11-26')->body['sum'];
        self::assertIsArray($sum);

        /** @var array<string, mixed> $sum */
        return $sum;
    }

    private function worked(): mixed
    {
        return $this->load()['workMs'];
    }

    private function drilledOn(string $name): mixed
    {
        return $this->ask('GET', '/api/combinations/'.$this->ids[$name])->body['drilledOn'];
    }

    /** @return list<array<string, mixed>> */
    private function list(string $path, string $member): array
    {
        /** @var list<array<string, mixed>> $list */
        $list = $this->ask('GET', $path)->body[$member];

        return $list;
    }

    /** @return mixed everything that the logbook holds, numbers of rows aside */
    private function state(): mixed
    {
        $connection = self::service(Connection::class);

        return [
            $connection->fetchAllAssociative(
                'SELECT entry_key, course_id, name, day, length_ms, work_ms, coach, orthodox, southpaw, levels, '
                    .'effort, note, figures FROM log_entry ORDER BY entry_key',
            ),
            $connection->fetchAllAssociative(
                'SELECT e.entry_key, d.position, d.combination_id, d.name, d.notation, d.stance, d.thrown, d.medium, '
                    .'d.level, d.ms, d.other_ms, d.repetitions, d.strikes FROM log_drilled d JOIN log_entry e '
                    .'ON e.id = d.entry_id ORDER BY e.entry_key, d.position',
            ),
            $connection->fetchAllAssociative(
                'SELECT e.entry_key, f.notation, f.link, f.fault, f.combination_id FROM log_fallen_link f '
                    .'JOIN log_entry e '
                    .'ON e.id = f.entry_id ORDER BY e.entry_key, f.position',
            ),
            $connection->fetchAllAssociative('SELECT * FROM log_week ORDER BY week, course_id'),
        ];
    }

    /** @param array<string, mixed> $row */
    private static function at(array $row, string ...$path): mixed
    {
        $value = $row;
        foreach ($path as $step) {
            self::assertIsArray($value);
            $value = $value[$step] ?? null;
        }

        return $value;
    }
}
