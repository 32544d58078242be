<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/** Running sessions over the API: coaches control them, walls show them and report what they have shown. */
final class RunTest extends ApiTestCase
{
    use ClockSensitiveTrait;

    private MockClock $clock;

    protected function setUp(): void
    {
        parent::setUp();
        $clock = self::mockTime('2026-11-26 18:00:00');
        self::assertInstanceOf(MockClock::class, $clock);
        $this->clock = $clock;
        $this->signIn('coach');
    }

    public function testAPlanRunsOnAllWallsOfTheGym(): void
    {
        $walls = [$this->wall('Floor'), $this->wall('Bag room')];
        $run = $this->start();

        foreach ($walls as $key) {
            $screen = $this->screen($key);
            self::assertSame(
                [$run['id'], 'wall', true],
                [$screen['run']['id'] ?? null, $screen['kind'], $screen['hasKeys']],
            );
        }
        self::assertSame(
            [180_000, 1, 1, false],
            [$run['lengthMs'], $run['revision'], $run['programme'], $run['isOver']],
        );
        self::assertSame(
            1000 * strtotime('2026-11-26 18:00:10 UTC'),
            $run['state']['zeroMs'] ?? null,
            'in ten seconds',
        );
    }

    public function testTheSamePressOfStartIsOneSession(): void
    {
        self::assertSame($this->start()['id'], $this->start()['id']);
        self::assertCount(1, $this->list('/api/runs', 'running'));
    }

    public function testAnEmptyPlanDoesNotRun(): void
    {
        $plan = $this->ask('POST', '/api/plans', PlanTest::plan(['content' => ['name' => 'Nothing']]))->id();
        $answer = $this->ask('POST', '/api/runs', ['id' => 'start-0001', 'plan' => $plan]);

        self::assertSame(
            [422, 'empty', 'There is nothing in this session to run. Put a round into it first.'],
            [$answer->status, $answer->type(), $answer->title()],
        );
    }

    public function testATimerShowsCombinationsOfTheLibrary(): void
    {
        $key = $this->wall('Floor');
        $this->signIn('head');
        $ids = [];
        foreach (['Front porch' => '1 2 3 exit', 'Cellar window' => '1 2 3b exit'] as $name => $text) {
            $ids[] = $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => $name, 'text' => $text]),
            )->id();
        }
        $run = $this->ask('POST', '/api/runs', ['id' => 'start-0077', 'combinations' => $ids])->body;

        self::assertSame(['Front porch and 1 other', 420_000], [$run['name'], $run['lengthMs']]);
        self::assertSame($run['id'], $this->screen($key)['run']['id'] ?? null);
        $missing = $this->ask('POST', '/api/runs', ['id' => 'start-0078', 'combinations' => [999_999]]);
        self::assertSame(404, $missing->status);
    }

    public function testTheSameCommandTwiceIsOne(): void
    {
        $id = $this->start()['id'];
        $first = $this->press($id, 'pause', 1, 'press-0001');
        $this->clock->sleep(5);
        $again = $this->press($id, 'pause', 1, 'press-0001');

        self::assertSame([200, 200], [$first->status, $again->status]);
        self::assertSame($first->body, $again->body);
        self::assertSame(2, $again->body['revision']);
    }

    /** Building the programme from the plan would take too long. */
    public function testAPressThatMovesTheClockNeedsWhatIsStoredOfTheProgrammeAlone(): void
    {
        $id = $this->start()['id'];
        $connection = self::service(Connection::class);
        self::assertSame('[]', $connection->fetchOne('SELECT waits FROM run_programme'), 'Nothing waits in this plan.');
        $connection->executeStatement("UPDATE run SET content = '{}'");
        $connection->executeStatement("UPDATE run_programme SET waits = '[60000]'");

        $state = $this->press($id, 'jump', 1, 'press-0001', ['toMs' => 50_000])->body['state'] ?? null;
        self::assertIsArray($state);
        self::assertSame(60_000, $state['holdMs'] ?? null);
        self::assertSame(
            409,
            $this->press($id, 'jump', 2, 'press-0002', ['toMs' => 180_001])->status,
            'It lasts 180 s.',
        );
        self::assertSame(200, $this->press($id, 'pause', 2, 'press-0003')->status);
    }

    public function testTwoCoachesWhoPressSkipAtOnceSkipOnce(): void
    {
        $id = $this->start()['id'];
        $this->clock->sleep(20);
        $mine = $this->press($id, 'jump', 1, 'press-0001', ['toMs' => 180_000]);
        $this->clock->sleep(0.4);
        $this->signIn('other');
        $theirs = $this->press($id, 'jump', 1, 'press-0002', ['toMs' => 180_000]);

        self::assertSame(2, $theirs->body['revision']);
        self::assertSame($mine->body['state'], $theirs->body['state'], 'one result, that both see');
    }

    public function testTwoDifferentPressesAtOnceAreBothDone(): void
    {
        $id = $this->start()['id'];
        $this->clock->sleep(20);
        $this->press($id, 'longer', 1, 'press-0001');
        $both = $this->press($id, 'pause', 1, 'press-0002');

        self::assertSame(
            [3, 2, 240_000, 10_000],
            [$both->body['revision'], $both->body['programme'], $both->body['lengthMs'], self::pausedAt($both)],
        );
    }

    public function testACoachWhoSawTheFirstMinuteAddsASecond(): void
    {
        $id = $this->start()['id'];
        $this->clock->sleep(20);
        $this->press($id, 'longer', 1, 'press-0001');
        self::assertSame(300_000, $this->press($id, 'longer', 2, 'press-0002')->body['lengthMs']);
    }

    public function testASwapIsShownByTheNextVersionOfTheProgramme(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        $this->clock->sleep(30);
        $answer = $this->press($id, 'swap', 1, 'press-0001', ['chain' => '1 2 3b 2', 'combination' => 0]);
        $programme = $this->ask('GET', "/api/screens/$key/programmes/$id/2")->body;

        self::assertSame(2, $answer->body['programme']);
        self::assertIsArray($programme['chains']);
        self::assertContains(
            '1 2 3b 2',
            array_map(
                static fn (mixed $chain): mixed => \is_array($chain) && \is_array($chain['numbers'])
                    ? $chain['numbers']['orthodox']
                    : null,
                $programme['chains'],
            ),
        );
        self::assertSame(
            [409, 'not-now'],
            [
                $this->press($id, 'swap', 2, 'press-0002', ['chain' => '1', 'combination' => 9])->status,
                $this->press($id, 'swap', 2, 'press-0002', ['chain' => '1', 'combination' => 9])->type(),
            ],
        );
        self::assertSame(422, $this->press($id, 'swap', 2, 'press-0003', ['chain' => '1 banana'])->status);
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['kind' => 'dance']])]
    #[TestWith([['id' => 'no']])]
    #[TestWith([['seen' => -1]])]
    #[TestWith([['track' => 77]])]
    #[TestWith([['chain' => 'x'], 422])]
    #[TestWith([['kind' => 'jump'], 409])]
    #[TestWith([['kind' => 'jump', 'toMs' => 99_999_999], 409])]
    public function testAnOddCommandGetsASentenceAndChangesNothing(array $with, int $status = 422): void
    {
        $id = $this->start()['id'];
        $answer = $this->ask('POST', "/api/runs/$id/commands", [
            'id' => 'press-0001',
            'kind' => 'swap',
            'seen' => 1,
            ...$with,
        ]);

        self::assertSame($status, $answer->status, $answer->raw);
        self::assertNotSame('', $answer->title());
        self::assertSame(1, $this->ask('GET', "/api/runs/$id")->body['revision']);
    }

    public function testAnEndedSessionTakesNoPressAndItsRecordStays(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        $this->shown($key, $id, [['start-0001', '0-all-bell-1', 1_000]]);
        $this->clock->sleep(60);
        self::assertNotNull($this->press($id, 'end', 1, 'press-0001')->body['endedAt']);
        self::assertSame(
            200,
            $this->press($id, 'end', 2, 'press-0002')->status,
            'whoever ends what has ended has what they want',
        );
        self::assertSame(
            [409, 'This session has ended.'],
            [$this->press($id, 'pause', 2, 'press-0003')->status, $this->press($id, 'pause', 2, 'press-0003')->title()],
        );
        self::assertSame([[], 1], [$this->list('/api/runs', 'running'), \count($this->list('/api/runs', 'ended'))]);
        self::assertCount(1, $this->record($id, 'shown'));
    }

    public function testASessionThatIsNotEndedEndsByItself(): void
    {
        $id = $this->start()['id'];
        $this->clock->sleep(190 + 300);
        self::assertCount(1, $this->list('/api/runs', 'running'), 'for a while one may still go back');
        $this->clock->sleep(400);
        self::assertSame([], $this->list('/api/runs', 'running'));
        self::assertSame(
            '2026-11-26T18:03:10+00:00',
            $this->ask('GET', "/api/runs/$id")->body['endedAt'],
            'when it was over',
        );
    }

    public function testWhatTwoWallsReportIsKeptOnce(): void
    {
        [$one, $two] = [$this->wall('Floor'), $this->wall('Bag room')];
        $id = $this->start()['id'];
        foreach ([$one, $two, $one] as $key) {
            $this->shown($key, $id, [['start-0001', '0-all-bell-1', 1_000], ['start-0001', '0-all-show-1', 1_000]]);
        }
        // Shown again after a jump back, which counts as another time.
        $this->clock->sleep(100);
        $this->shown($two, $id, [['press-0001', '0-all-bell-1', 90_000]]);

        $shown = $this->record($id, 'shown');
        self::assertSame(['start-0001', 'start-0001', 'press-0001'], array_column($shown, 'passage'));
        self::assertSame(['Floor', 'Floor', 'Bag room'], array_column($shown, 'wall'));
        self::assertEqualsCanonicalizing(
            [['bell', false], ['show', true], ['bell', false]],
            array_map(static fn (array $one): array => [$one['kind'], $one['stands']], $shown),
            'what says what was drilled',
        );
    }

    public function testAWallStillReportsASessionThatItShowsNoMore(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        $this->ask('POST', '/api/runs', ['id' => 'start-0002', 'timer' => ['rounds' => 1]]);
        $this->shown($key, $id, [['start-0001', '0-all-bell-1', 1_000]]);

        self::assertCount(1, $this->record($id, 'shown'));
    }

    public function testAPressOfAWallThatWasAwayCountsFromItsMoment(): void
    {
        $key = $this->wall('Floor');
        $run = $this->start();
        $zero = $run['state']['zeroMs'] ?? 0;
        self::assertIsInt($zero);
        $this->clock->sleep(100);
        $answer = $this->ask('POST', "/api/screens/$key/commands", [
            'run' => $run['id'],
            'id' => 'press-0001',
            'kind' => 'pause',
            'seen' => 1,
            'givenMs' => $zero + 30_000,
        ]);

        self::assertSame(30_000, self::pausedAt($answer), $answer->raw);
    }

    public function testAPressOfAWallThatWasAwayYieldsToWhatACoachDidSince(): void
    {
        $key = $this->wall('Floor');
        $run = $this->start();
        $zero = $run['state']['zeroMs'] ?? 0;
        self::assertIsInt($zero);
        $this->clock->sleep(100);
        $this->press($run['id'], 'jump', 1, 'press-0001', ['toMs' => 60_000]);
        $answer = $this->ask('POST', "/api/screens/$key/commands", [
            'run' => $run['id'],
            'id' => 'press-0002',
            'kind' => 'pause',
            'seen' => 1,
            'givenMs' => $zero + 30_000,
        ]);

        self::assertSame([200, 2, null], [$answer->status, $answer->body['revision'], self::pausedAt($answer)]);
    }

    #[TestWith(['longer'])]
    #[TestWith(['swap'])]
    #[TestWith(['again'])]
    #[TestWith(['end'])]
    public function testAWallCanOnlyPauseResumeAndJump(string $kind): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];

        self::assertSame(
            [403, 'This screen has no controls. A coach runs the session.'],
            $this->fromWall($key, $id, $kind),
        );
    }

    public function testAWallWithoutKeysOnlyShows(): void
    {
        $key = $this->wall('Floor', false);

        self::assertSame(403, $this->fromWall($key, $this->start()['id'], 'pause')[0]);
    }

    public function testAnAthleteFollowsAndCannotPress(): void
    {
        $run = $this->start();
        $this->signOut();
        $follow = $run['followKey'];
        $screen = $this->screen($follow);

        self::assertSame(['athlete', $run['id']], [$screen['kind'], $screen['run']['id'] ?? null]);
        $read = $this->ask('GET', "/api/screens/$follow/programmes/{$run['id']}/1?numbering=body-pairs")->body[
            'chains'
        ];
        self::assertIsArray($read);
        self::assertContains(
            '1 2 7',
            array_map(
                static fn (mixed $chain): mixed => \is_array($chain) && \is_array($chain['numbers'])
                    ? $chain['numbers']['orthodox']
                    : null,
                $read,
            ),
        );
        self::assertSame(410, $this->fromWall($follow, $run['id'], 'pause')[0]);
        self::assertSame(
            410,
            $this->ask('POST', "/api/screens/$follow/shown", ['run' => $run['id'], 'shown' => []])->status,
        );
        self::assertSame(
            404,
            $this->ask('GET', "/api/screens/$follow/programmes/{$run['id']}/1?numbering=none")->status,
        );
    }

    public function testAnAthletesAddressOpensNothingADayAfterTheEnd(): void
    {
        $run = $this->start();
        $this->press($run['id'], 'end', 1, 'press-0001');
        $this->clock->sleep(3600);
        self::assertSame(200, $this->ask('GET', '/api/screens/'.$run['followKey'])->status);
        $this->clock->sleep(86_400);
        self::assertSame(410, $this->ask('GET', '/api/screens/'.$run['followKey'])->status);
    }

    public function testAKeyOpensNothingButItsOwnSession(): void
    {
        $key = $this->wall('Floor');
        $mine = $this->start();
        $other = $this->ask('POST', '/api/runs', [
            'id' => 'start-0002',
            'timer' => ['rounds' => 1, 'seconds' => 60, 'rest' => 0],
            'walls' => [],
        ])->body;
        self::assertIsInt($other['id']);
        $this->signOut();

        self::assertSame(404, $this->ask('GET', "/api/screens/$key/programmes/{$other['id']}/1")->status);
        self::assertSame(404, $this->fromWall($key, $other['id'], 'pause')[0]);
        self::assertSame(
            404,
            $this->ask('POST', "/api/screens/$key/shown", ['run' => $other['id'], 'shown' => []])->status,
        );
        self::assertSame(
            404,
            $this->ask('GET', '/api/screens/'.$key.'/clips/'.$mine['id'].'/1/'.str_repeat('0', 32))->status,
        );
        $record = '/api/runs/'.$mine['id'].'/record';
        foreach (['/api/runs', '/api/walls', $record, '/api/combinations', '/api/plans'] as $closed) {
            self::assertSame(401, $this->ask('GET', $closed)->status, $closed);
        }
    }

    public function testARevokedWallIsDark(): void
    {
        $key = $this->wall('Floor');
        $this->start();
        $id = $this->list('/api/walls', 'walls')[0]['id'];
        self::assertIsInt($id);
        self::assertSame(204, $this->ask('POST', "/api/walls/$id/revoke")->status);
        $answer = $this->ask('GET', '/api/screens/'.$key);

        self::assertSame(
            [410, 'key-revoked', 'This address no longer works. Ask a coach for a new one.'],
            [$answer->status, $answer->type(), $answer->title()],
        );
        self::assertSame(403, $this->ask('GET', "/api/screens/$key/listen")->status);
        self::assertSame([], $this->list('/api/walls', 'walls'));
    }

    public function testAnIdleWallHasTheSessionsOfTodayAndWhatTheWeekPlansMost(): void
    {
        $key = $this->wall('Floor');
        $idle = fn (): array => $this->ask('GET', "/api/screens/$key/idle")->body;
        self::assertSame([[], null], [$idle()['sessions'], $idle()['week']]);

        $this->signIn('head');
        $combination = self::combination(['text' => '1 2 3b', 'name' => 'Liver']);
        $liver = $this->ask('POST', '/api/combinations', $combination)->id();
        $planned = ['chain' => '1 2 3b', 'name' => 'Liver', 'id' => $liver, 'version' => 1];
        $today = $this->ask('POST', '/api/plans', PlanTest::plan([
            'name' => 'Tonight',
            'startsAt' => '2026-11-26T19:30',
            'content' => PlanTest::content([$planned]),
        ]))->id();
        $this->ask('POST', '/api/plans', PlanTest::plan(['name' => 'Next month', 'startsAt' => '2026-12-24T19:30']));

        $answer = $idle();
        self::assertIsArray($answer['sessions']);
        self::assertIsArray($answer['week']);
        self::assertSame(['Tonight'], array_column($answer['sessions'], 'name'));
        self::assertSame([false], array_column($answer['sessions'], 'hasBegun'));
        self::assertSame(['Liver', 1], [$answer['week']['name'], $answer['week']['times']]);

        $this->ask('POST', '/api/runs', ['id' => 'start-0002', 'plan' => $today]);
        self::assertSame([true], array_column((array) $idle()['sessions'], 'hasBegun'));

        $this->ask('POST', "/api/combinations/$liver/archive", null, ['If-Match' => '"1"']);
        self::assertNull($idle()['week'], 'what was archived is no combination of the week');
    }

    public function testWhatTheVoiceSaysFollowsTheGymAndThePlan(): void
    {
        $said = function (array $with): array {
            $plan = PlanTest::plan(['content' => [...PlanTest::content(['1 2']), ...$with]]);
            $id = $this->ask('POST', '/api/plans', $plan)->id();
            $key = $this->wall('Wall '.$id);
            $run = $this->ask('POST', '/api/runs', ['id' => 'start-'.$id, 'plan' => $id])->id();

            return array_column(
                (array) $this->ask('GET', "/api/screens/$key/programmes/$run/1")->body['said'],
                'text',
            );
        };
        self::assertContains('next: one two. jab, cross', $said([]));
        self::assertContains('half time', $said(['timeCalls' => ['half']]));

        $this->signIn('head');
        $voice = ['voice' => 'male', 'pace' => 'plain', 'loudness' => 'loud', 'says' => 'names'];
        $answer = $this->ask('PUT', '/api/voice', [...$voice, 'timeCalls' => ['minute'], 'perSet' => false]);
        self::assertSame(204, $answer->status, $answer->raw);
        $names = $said([]);
        self::assertContains('next: jab, cross', $names);
        self::assertContains('last minute', $names);
        self::assertNotContains('last minute', $said(['timeCalls' => []]));
        self::assertSame(422, $this->ask('PUT', '/api/voice', [...$voice, 'timeCalls' => ['noon']])->status);
    }

    public function testThereIsAClipForEveryCall(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        $all = $this->ask('GET', "/api/screens/$key/programmes/$id/1")->body['said'];
        self::assertIsArray($all);
        self::assertNotSame([], $all);
        foreach ($all as $said) {
            self::assertIsArray($said);
            self::assertIsString($said['clip']);
            $clip = $this->ask('GET', "/api/screens/$key/clips/$id/1/{$said['clip']}");
            self::assertSame([200, 'audio/wav', 'RIFF'], [$clip->status, $clip->contentType, substr($clip->raw, 0, 4)]);
        }
    }

    /** With a wall's key one can only report cues of its session, within its time, in a limited number of passages. */
    public function testAWallsKeyCannotFalsifyASession(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        $this->clock->sleep(40);
        $this->press($id, 'end', 1, 'press-0001');
        $this->shown(
            $key,
            $id,
            [
                ['start-0001', '0-all-bell-1', 10_000],
                ['start-0001', '99999-all-made-up-1', 10_000],
                ['start-0001', '0-all-show-1', 9_000_000],
            ],
        );
        self::assertSame(['0-all-bell-1'], array_column($this->record($id, 'shown'), 'cue'));
        // The same half minute repeatedly, with other passages.
        for ($passage = 1; $passage <= 8; ++$passage) {
            $this->shown(
                $key,
                $id,
                array_map(
                    static fn (int $number): array => [
                        \sprintf('made-up-%d-%03d', $passage, $number),
                        '0-all-show-1',
                        10_000,
                    ],
                    range(1, 100),
                ),
            );
        }
        self::assertLessThanOrEqual(201, \count($this->record($id, 'shown')));
        /** @var list<array{workMs: int}> $entries */
        $entries = $this->ask('GET', '/api/logbook/entries')->body['entries'];

        self::assertLessThanOrEqual(40_000, $entries[0]['workMs'], 'no more than the session lasted');
    }

    public function testTheRecordNamesWhatWasShownBeforeASwap(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        $this->shown($key, $id, [['start-0001', '0-all-show-1', 10_000]]);
        $this->clock->sleep(30);
        $this->press($id, 'swap', 1, 'press-0001', ['chain' => '6 5 2']);
        $this->clock->sleep(10);
        $this->shown($key, $id, [['press-0002', '0-all-show-1', 40_000]]);

        self::assertSame(['1 2 3b', '6 5 2'], array_column($this->record($id, 'shown'), 'text'));
    }

    public function testAWallOfABlockedCoachShowsAndPressesNothing(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        self::service(Connection::class)->executeStatement(
            'UPDATE user SET active = 0 WHERE id = (SELECT editor_id FROM wall LIMIT 1)',
        );

        self::assertSame(
            [200, false],
            [$this->ask('GET', '/api/screens/'.$key)->status, $this->ask('GET', '/api/screens/'.$key)->body['hasKeys']],
        );
        self::assertSame(403, $this->fromWall($key, $id, 'pause')[0]);
    }

    public function testARefusedReportNamesWhatIsWrong(): void
    {
        $key = $this->wall('Floor');
        $id = $this->start()['id'];
        $showns = [
            [['passage' => '!', 'cue' => 'a', 'atMs' => 1]],
            [['passage' => 'start-0001', 'cue' => 'A B', 'atMs' => 1]],
            [['passage' => 'start-0001', 'cue' => 'a', 'atMs' => -5]],
            [['cue' => 'a']],
            [17],
            array_fill(0, 501, ['passage' => 'start-0001', 'cue' => 'a', 'atMs' => 1]),
        ];
        foreach ($showns as $shown) {
            $answer = $this->ask('POST', "/api/screens/$key/shown", ['run' => $id, 'shown' => $shown]);
            self::assertSame(422, $answer->status, $answer->raw);
            self::assertNotSame('', $answer->title());
        }
        self::assertSame([], $this->record($id, 'shown'));
    }

    /**
     * @return array{
     *     id: int,
     *     revision: int,
     *     programme: int,
     *     lengthMs: int,
     *     followKey: string,
     *     isOver: bool,
     *     state: array<string, mixed>,
     * }
     */
    private function start(): array
    {
        $content = PlanTest::content();
        $content['blocks'] = [
            [
                'kind' => 'rounds',
                'rounds' => [
                    [
                        'seconds' => 180,
                        'sets' => [
                            ['seconds' => 120, 'combinations' => ['1 2 3b']],
                            ['seconds' => 60, 'drill' => 'calls', 'combinations' => ['1 2', '3 2']],
                        ],
                    ],
                ],
            ],
        ];
        $plan = $this->ask('POST', '/api/plans', PlanTest::plan(['content' => $content]))->id();
        /**
         * @var array{
         *     id: int,
         *     revision: int,
         *     programme: int,
         *     lengthMs: int,
         *     followKey: string,
         *     isOver: bool,
         *     state: array<string, mixed>,
         * } $run
         */
        $run = $this->ask('POST', '/api/runs', ['id' => 'start-0001', 'plan' => $plan])->body;

        return $run;
    }

    private static function pausedAt(Answer $answer): mixed
    {
        $state = $answer->body['state'] ?? null;
        self::assertIsArray($state);

        return $state['pausedMs'];
    }

    private function wall(string $name, bool $hasKeys = true): string
    {
        $key = $this->ask('POST', '/api/walls', ['name' => $name, 'hasKeys' => $hasKeys])->body['key'];
        self::assertIsString($key);

        return $key;
    }

    /** @return array{kind: string, hasKeys: bool, run: array{id: int}|null} */
    private function screen(string $key): array
    {
        /** @var array{kind: string, hasKeys: bool, run: array{id: int}|null} $screen */
        $screen = $this->ask('GET', '/api/screens/'.$key)->body;

        return $screen;
    }

    /** @param array<string, mixed> $with */
    private function press(int $id, string $kind, int $seen, string $key, array $with = []): Answer
    {
        return $this->ask('POST', "/api/runs/$id/commands", ['id' => $key, 'kind' => $kind, 'seen' => $seen, ...$with]);
    }

    /** @return array{int, string} */
    private function fromWall(string $key, int $run, string $kind): array
    {
        $answer = $this->ask('POST', "/api/screens/$key/commands", [
            'run' => $run,
            'id' => 'press-0009',
            'kind' => $kind,
            'seen' => 1,
        ]);

        return [$answer->status, $answer->title()];
    }

    /** @param list<array{string, string, int}> $shown */
    private function shown(string $key, int $run, array $shown): void
    {
        $rows = array_map(
            static fn (array $one): array => [
                'passage' => $one[0],
                'cue' => $one[1],
                'atMs' => 1000 * strtotime('2026-11-26 18:00:00 UTC') + $one[2],
            ],
            $shown,
        );
        self::assertSame(204, $this->ask('POST', "/api/screens/$key/shown", ['run' => $run, 'shown' => $rows])->status);
    }

    /** @return list<array<string, mixed>> */
    private function record(int $id, string $part): array
    {
        return $this->list("/api/runs/$id/record", $part);
    }

    /** @return list<array<string, mixed>> */
    private function list(string $path, string $part): array
    {
        /** @var array<string, list<array<string, mixed>>> $body */
        $body = $this->ask('GET', $path)->body;

        return $body[$part];
    }
}
