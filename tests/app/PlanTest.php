<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Periplus\Core\Session\Plan\CompletePlan;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/** Planned sessions over the API. */
final class PlanTest extends ApiTestCase
{
    use ClockSensitiveTrait;

    public function testAPlanIsStoredUnchangedAndReadWithItsDefaults(): void
    {
        $this->signIn('coach');
        $made = $this->ask('POST', '/api/plans', self::plan());
        $read = $this->ask('GET', '/api/plans/'.$made->id());

        self::assertSame(201, $made->status);
        self::assertEquals(self::writtenOut(self::content()), $read->body['content']);
        self::assertEquals(
            [...self::content(), 'name' => 'Liver'],
            $this->ask('GET', '/api/plans/'.$made->id().'/plan.json')->body,
        );
        self::assertSame(
            [1, 'Liver', '2026-12-01T18:30', 180_000, 0],
            [
                $read->body['version'],
                $read->body['name'],
                $read->body['startsAt'],
                $read->body['lengthMs'],
                $read->body['problems'],
            ],
        );
    }

    public function testABadPlanIsKeptWithTheCountOfItsProblems(): void
    {
        $this->signIn('coach');
        $content = [
            ...self::content(),
            'minutes' => 'long',
            'blocks' => [
                ['rounds' => [['seconds' => 60, 'times' => 10_000, 'sets' => [['combinations' => ['1 99']]]]]],
            ],
        ];
        $made = $this->ask('POST', '/api/plans', self::plan(['content' => $content]));

        self::assertSame(201, $made->status);
        self::assertSame(3, $made->body['problems']);
        self::assertEquals(
            self::writtenOut($content),
            $this->ask('GET', '/api/plans/'.$made->id())->body['content'],
            'nothing is lost',
        );
    }

    public function testAPlanThatIsNestedDeeperThanTheDatabaseTakesIsRefusedInWords(): void
    {
        $this->signIn('coach');
        $content = [];
        for ($level = 0; $level < 40; ++$level) {
            $content = [$content];
        }
        $answer = $this->ask('POST', '/api/plans', self::plan(['content' => $content]));

        self::assertSame(
            [422, 'This is nested deeper than any session. Take the plan from where it was written again.'],
            [$answer->status, $answer->title()],
        );
    }

    public function testAWriteFromAnOldVersionOverwritesNothing(): void
    {
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', self::plan())->id();
        $this->ask('PUT', "/api/plans/$id", self::plan(['name' => 'First']), ['If-Match' => '"1"']);
        $this->signIn('other');
        $late = $this->ask('PUT', "/api/plans/$id", self::plan(['name' => 'Second']), ['If-Match' => '"1"']);

        self::assertSame([412, 'changed-meanwhile'], [$late->status, $late->body['type']]);
        self::assertStringContainsString('Coach Coach changed this session meanwhile', $late->title());
        self::assertSame('First', $this->ask('GET', "/api/plans/$id")->body['name']);
        self::assertSame(428, $this->ask('PUT', "/api/plans/$id", self::plan())->status);
    }

    public function testWhatOneCoachSavesWithinMinutesIsOneVersionOfTheHistory(): void
    {
        $clock = self::mockTime('2026-11-26 12:00:00');
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', self::plan())->id();
        foreach (range(1, 4) as $version) {
            $clock->sleep(30);
            self::assertSame(
                200,
                $this->ask('PUT', "/api/plans/$id", self::plan(['name' => 'Try '.$version]), [
                    'If-Match' => '"'.$version.'"',
                ])->status,
            );
        }
        $clock->sleep(3600);
        $this->ask('PUT', "/api/plans/$id", self::plan(['name' => 'An hour later']), ['If-Match' => '"5"']);

        self::assertSame(
            [['An hour later', 6], ['Try 4', 5], ['Liver', 1]],
            array_map(null, array_column($this->versions($id), 'name'), array_column($this->versions($id), 'version')),
        );
        $this->signIn('head');
        $entries = $this->ask('GET', '/api/audit-log?what=plan')->body['entries'];
        self::assertIsArray($entries);
        self::assertCount(3, $entries);
    }

    public function testAnOldVersionIsBroughtBack(): void
    {
        $clock = self::mockTime('2026-11-26 12:00:00');
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', self::plan())->id();
        $clock->sleep(3600);
        $this->ask('PUT', "/api/plans/$id", self::plan(['name' => 'Other', 'startsAt' => null]), ['If-Match' => '"1"']);
        $back = $this->ask('POST', "/api/plans/$id/versions/1/bring-back", null, ['If-Match' => '"2"']);

        self::assertSame(
            [200, 'Liver', '2026-12-01T18:30', 3],
            [$back->status, $back->body['name'], $back->body['startsAt'], $back->body['version']],
        );
        self::assertSame(
            404,
            $this->ask('POST', "/api/plans/$id/versions/9/bring-back", null, ['If-Match' => '"3"'])->status,
        );
    }

    public function testASessionThatIsTakenOutComesBack(): void
    {
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', self::plan())->id();
        $this->ask('POST', "/api/plans/$id/archive", null, ['If-Match' => '"1"']);
        self::assertSame([], $this->names('?from=2026-11-01&to=2026-12-31'));
        $this->ask('POST', "/api/plans/$id/restore", null, ['If-Match' => '"2"']);

        self::assertSame(['Liver'], $this->names('?from=2026-11-01&to=2026-12-31'));
    }

    /** The day of a session is that of the gym's time zone, not of the server's. */
    public function testDaysAreThoseOfTheGymsTimeZone(): void
    {
        $this->signIn('head');
        self::assertSame(200, $this->setTimeZone('Pacific/Auckland')->status);
        $this->ask('POST', '/api/plans', self::plan(['startsAt' => '2026-12-01T00:30']));

        self::assertSame(['Liver'], $this->names('?from=2026-12-01&to=2026-12-01'));
        self::assertSame([], $this->names('?from=2026-11-30&to=2026-11-30'));
        self::assertSame(
            '2026-11-30 11:30:00',
            self::service(Connection::class)->fetchOne('SELECT starts_at FROM plan'),
        );
    }

    public function testAnHourThatTheClocksLeaveOutIsRefused(): void
    {
        $this->signIn('head');
        $this->setTimeZone('Europe/Lisbon');
        // In Lisbon the clocks go from 1:00 to 2:00 on 28 March 2027.
        $answer = $this->ask('POST', '/api/plans', self::plan(['startsAt' => '2027-03-28T01:30']));

        self::assertSame([422, 'invalid'], [$answer->status, $answer->body['type']]);
        self::assertSame(422, $this->setTimeZone('Mars/Olympus')->status);
        self::assertSame('Europe/Lisbon', $this->ask('GET', '/api/gym')->body['timeZone']);
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['name' => ' '], 422])]
    #[TestWith([['startsAt' => 'soon'], 422])]
    #[TestWith([['startsAt' => '2026-02-30T10:00'], 422])]
    #[TestWith([['course' => 4711], 404])]
    #[TestWith([['name' => 'x'], 201])]
    public function testWhatCannotBeStoredIsRefused(array $with, int $status): void
    {
        $this->signIn('coach');

        self::assertSame($status, $this->ask('POST', '/api/plans', self::plan($with))->status);
    }

    public function testThePlanSaysWhenACombinationChangedAfterPlanningAndShowsBoth(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $content = self::content([
            ['chain' => '1 2 3b exit', 'stance' => 'orthodox', 'name' => 'Cellar window', 'id' => $id, 'version' => 1],
        ]);
        self::assertSame([], $this->check($content)['changed']);
        $this->ask('PUT', "/api/combinations/$id", self::combination(['text' => '1 2 3b 2 exit']), [
            'If-Match' => '"1"',
        ]);
        $changed = $this->check($content);

        self::assertEquals([[
            'id' => $id, 'name' => 'Cellar window', 'archived' => false,
            'planned' => ['version' => 1, 'chain' => '1 2 3b exit', 'stance' => 'orthodox'],
            'now' => ['version' => 2, 'chain' => '1 2 3b 2 exit', 'stance' => 'orthodox'],
        ]], $changed['changed']);
        $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"2"']);
        $problems = $this->check($content)['problems'];
        self::assertIsArray($problems);
        self::assertStringContainsString('archived since it was planned', json_encode($problems, \JSON_THROW_ON_ERROR));
    }

    public function testANoteAloneIsNoChangeOfTheCombination(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $this->ask('PUT', "/api/combinations/$id", self::combination(['note' => 'Another.']), ['If-Match' => '"1"']);

        self::assertSame(
            [],
            $this->check(self::content([['chain' => '1 2 3b exit', 'id' => $id, 'version' => 1]]))['changed'],
        );
    }

    public function testTheCheckHasTheLineOfEachChainOnceAndTheGymsThresholds(): void
    {
        $this->signIn('head');
        $content = self::content(['1 2 3'], ['times' => 6]);
        $document = $this->check($content);
        self::assertIsArray($document['chains']);
        self::assertCount(1, $document['chains']);
        self::assertContains('no-warm-up', $this->warnings($content));

        $change = HouseRulesTest::change();
        self::assertIsArray($change['thresholds']);
        $change['thresholds']['no-warm-up'] = 90;
        $preview = $this->ask('POST', '/api/house-rules/kickboxing/rule-previews', $change)->id();
        $this->ask('POST', "/api/rule-previews/$preview/advance");
        self::assertSame(200, $this->ask('POST', "/api/rule-previews/$preview/save")->status);

        self::assertNotContains('no-warm-up', $this->warnings($content));
    }

    public function testAFixIsAnotherPlan(): void
    {
        $this->signIn('coach');
        $content = self::content(['1 2 3'], ['times' => 8]);
        $fixed = $this->ask('POST', '/api/plans/fix', ['content' => $content, 'warning' => 'no-warm-up'])->body[
            'content'
        ];
        self::assertIsArray($fixed);

        self::assertNotContains('no-warm-up', $this->warnings($fixed));
        self::assertSame(
            422,
            $this->ask('POST', '/api/plans/fix', ['content' => $content, 'warning' => 'cold-feet'])->status,
        );
    }

    public function testTwoCoachesSeeThatTheOtherHasThePlanOpen(): void
    {
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', self::plan())->id();
        self::assertSame([], $this->ask('POST', "/api/plans/$id/presence")->body['others']);
        $this->signIn('other');
        $other = $this->ask('POST', "/api/plans/$id/presence");

        self::assertSame(['Coach Coach'], $other->body['others']);
        self::assertSame(1, $other->body['version']);
    }

    public function testASequenceIsAnsweredWithItsBoundAndTheSharedPart(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/plans/sequence', [
            'combinations' => [['chain' => '1 2 3 2'], ['chain' => '1 2'], ['chain' => '1 2 3']],
            'rules' => 'boxing',
        ])->body;

        self::assertSame([1, 2, 0], $answer['order']);
        self::assertSame([[], [0, 1], [0, 1, 2]], $answer['shared']);
        self::assertTrue($answer['proven']);
        self::assertSame(422, $this->ask('POST', '/api/plans/sequence', ['combinations' => [['text' => '1']]])->status);
    }

    public function testTemplatesHaveNoDay(): void
    {
        $this->signIn('coach');
        $this->ask('POST', '/api/plans', self::plan(['isTemplate' => true]));
        $list = $this->ask('GET', '/api/plans')->body;

        self::assertSame([], $list['plans']);
        self::assertIsArray($list['templates']);
        self::assertSame([null], array_column($list['templates'], 'startsAt'));
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    public static function plan(array $with = []): array
    {
        return ['name' => 'Liver', 'startsAt' => '2026-12-01T18:30', 'content' => self::content(), ...$with];
    }

    /**
     * Returns a content as the screens get it.
     *
     * @param array<string, mixed> $content
     */
    public static function writtenOut(array $content): mixed
    {
        return json_decode(json_encode(new CompletePlan($content), \JSON_THROW_ON_ERROR), true);
    }

    /**
     * @param list<mixed> $combinations
     * @param array<string, mixed> $round
     *
     * @return array<string, mixed>
     */
    public static function content(array $combinations = ['1 2 3b'], array $round = []): array
    {
        return [
            'rules' => 'kickboxing',
            'medium' => 'pads',
            'blocks' => [
                [
                    'kind' => 'rounds',
                    'rounds' => [
                        [
                            'seconds' => 180,
                            'rest' => 60,
                            'sets' => [['drill' => 'repeat', 'combinations' => $combinations]],
                            ...$round,
                        ],
                    ],
                ],
            ],
        ];
    }

    /**
     * @param array<mixed> $content
     *
     * @return array<mixed>
     */
    private function check(array $content): array
    {
        $answer = $this->ask('POST', '/api/plans/check', ['content' => $content]);
        self::assertSame(200, $answer->status, $answer->raw);

        return $answer->body;
    }

    /**
     * @param array<mixed> $content
     *
     * @return list<mixed>
     */
    private function warnings(array $content): array
    {
        $warnings = $this->check($content)['warnings'];
        self::assertIsArray($warnings);

        return array_column($warnings, 'id');
    }

    /** @return list<mixed> */
    private function names(string $query): array
    {
        $plans = $this->ask('GET', '/api/plans'.$query)->body['plans'];
        self::assertIsArray($plans);

        return array_column($plans, 'name');
    }

    /** @return array<mixed> */
    private function versions(int $id): array
    {
        $versions = $this->ask('GET', "/api/plans/$id/versions")->body['versions'];

        return \is_array($versions) ? $versions : [];
    }
}
