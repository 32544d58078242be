<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

/** Reminders and exercises: what ships, and what the gym makes of them. */
final class AdviceTest extends ApiTestCase
{
    private const REMINDER = ['id' => 'ours-1', 'for' => 'all', 'text' => 'breathe, and smile'];
    private const EXERCISE = [
        'id' => 'stairs',
        'name' => 'Harbour stairs',
        'for' => ['warm-up'],
        'does' => 'warms',
        'seconds' => 60,
        'count' => null,
        'easier' => 'walking',
        'caution' => 'wet steps',
    ];

    public function testEveryCoachReadsWhatShipsUntilTheGymHasItsOwn(): void
    {
        $this->signIn('coach');
        $advice = $this->ask('GET', '/api/advice')->body;

        self::assertSame([1, 1], [$advice['remindersVersion'], $advice['exercisesVersion']]);
        self::assertGreaterThan(20, \count((array) $advice['reminders']));
        self::assertContains('jogging', array_column((array) $advice['exercises'], 'id'));
    }

    public function testTheRemindersOfTheGymComeInItsSessions(): void
    {
        $this->signIn('head');
        $answer = $this->store('reminders', [self::REMINDER], 1);
        self::assertSame(200, $answer->status, $answer->raw);
        self::assertEquals([self::REMINDER], $answer->body['reminders']);

        $cues = $this->ask('POST', '/api/plans/check', ['content' => PlanTest::content()])->body['cues'];
        self::assertIsArray($cues);
        self::assertContains([self::REMINDER['text']], array_column($cues, 'reminders'));
    }

    public function testTheFaultsOfTheGymAreLookedForInADemonstration(): void
    {
        $this->signIn('head');
        $own = ['id' => 'own-1', 'for' => 'cross', 'text' => 'eyes to the floor', 'mend' => 'look at them'];
        $answer = $this->store('faults', [$own], 1);
        self::assertSame(200, $answer->status, $answer->raw);
        self::assertEquals([$own], $answer->body['faults']);

        $content = PlanTest::content();
        $set = ['drill' => 'demonstration', 'combinations' => [['chain' => '1 2']]];
        $content['blocks'] = [['name' => 'Show', 'rounds' => [['seconds' => 60, 'sets' => [$set]]]]];
        $cues = $this->ask('POST', '/api/plans/check', ['content' => $content])->body['cues'];
        self::assertIsArray($cues);
        self::assertContains(['look for: eyes to the floor'], array_column($cues, 'reminders'));

        foreach ([['mend' => ''], ['for' => 'nothing'], ['text' => str_repeat('x', 61)]] as $wrong) {
            self::assertSame(422, $this->store('faults', [[...$own, ...$wrong]], 2)->status);
        }
        self::assertSame(412, $this->store('faults', [$own], 1)->status, 'somebody else was first');
    }

    public function testWhatShipsIsTakenBack(): void
    {
        $this->signIn('head');
        $shipped = $this->ask('GET', '/api/advice')->body['reminders'];
        $this->store('reminders', [self::REMINDER], 1);

        self::assertEquals($shipped, $this->store('reminders', null, 2)->body['reminders']);
    }

    public function testOneListIsChangedWithoutTheOther(): void
    {
        $this->signIn('head');
        $before = $this->ask('GET', '/api/advice')->body;
        $after = $this->store('reminders', [self::REMINDER], 1)->body;

        self::assertSame(2, $after['remindersVersion']);
        self::assertSame(1, $after['exercisesVersion']);
        self::assertEquals($before['exercises'], $after['exercises']);
    }

    #[TestWith(['reminders', self::REMINDER])]
    #[TestWith(['exercises', self::EXERCISE])]
    public function testTwoWhoEditAListDoNotOverwriteEachOther(string $list, mixed $row): void
    {
        $this->signIn('head');
        self::assertSame(200, $this->store($list, [$row], 1)->status);
        self::assertSame(412, $this->store($list, [$row], 1)->status);
        self::assertSame(200, $this->store($list, [$row], 2)->status);
    }

    #[TestWith(['reminders', self::REMINDER])]
    #[TestWith(['exercises', self::EXERCISE])]
    public function testACoachWithoutThePermissionCannotChangeThem(string $list, mixed $row): void
    {
        $this->signIn('coach');

        self::assertSame(403, $this->store($list, [$row], 1)->status);
        self::assertSame(1, $this->ask('GET', '/api/advice')->body[$list.'Version']);
    }

    public function testTheAuditLogSaysWhoChangedAListAndWhoResetIt(): void
    {
        $this->signIn('head');
        $this->store('reminders', [self::REMINDER], 1);
        $this->store('reminders', null, 2);
        $entries = $this->ask('GET', '/api/audit-log?what=advice')->body['entries'];

        self::assertSame(
            ['reset the reminders to the built-in list', 'changed the reminders'],
            array_column((array) $entries, 'says'),
        );
    }

    public function testAnExerciseOfTheGymCanBePlannedAndAMissingOneIsReported(): void
    {
        $this->signIn('head');
        self::assertSame(200, $this->store('exercises', [self::EXERCISE], 1)->status);
        $cues = $this->planned('stairs')->body['cues'];
        self::assertIsArray($cues);
        self::assertContains('Harbour stairs', array_column($cues, 'text'));
        $problems = $this->planned('jogging')->body['problems'];
        self::assertIsArray($problems);
        self::assertStringContainsString('The gym has no exercise', json_encode($problems, \JSON_THROW_ON_ERROR));
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['for' => 'hats'], 'A reminder is for all, a technique or a cause of waiting.'])]
    #[TestWith([['text' => ' x '], 'A reminder has at least 3 characters.'])]
    #[TestWith([['id' => 'Upper Case'], 'The id of a reminder has small letters, digits and hyphens.'])]
    public function testAReminderThatCannotBeIsRefusedWithItsPlace(array $with, string $sentence): void
    {
        $this->signIn('head');
        $answer = $this->store('reminders', [self::REMINDER, [...self::REMINDER, 'id' => 'ours-2', ...$with]], 1);

        self::assertSame(422, $answer->status);
        self::assertContains(
            $sentence,
            array_column((array) $answer->body['violations'], 'message', 'field'),
            $answer->raw,
        );
        self::assertStringContainsString('reminders[1]', $answer->raw);
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['name' => ' '], 'Give the exercise a name.'])]
    #[TestWith([['for' => []], 'Say where it belongs: warm-up, conditioning, cool-down or between repetitions.'])]
    #[TestWith([['seconds' => 4], 'It lasts 5 to 600 seconds.'])]
    #[TestWith([['count' => 201], 'It is done 1 to 200 times.'])]
    public function testAnExerciseThatCannotBeIsRefused(array $with, string $sentence): void
    {
        $this->signIn('head');
        $answer = $this->store('exercises', [[...self::EXERCISE, ...$with]], 1);

        self::assertSame(422, $answer->status);
        self::assertContains($sentence, array_column((array) $answer->body['violations'], 'message'), $answer->raw);
    }

    public function testAListIsNeitherEmptyNorHasTheSameTwice(): void
    {
        $this->signIn('head');

        self::assertSame(422, $this->store('reminders', [], 1)->status);
        self::assertSame(422, $this->store('reminders', [self::REMINDER, self::REMINDER], 1)->status);
        self::assertSame(422, $this->store('exercises', [self::EXERCISE, self::EXERCISE], 1)->status);
    }

    /** @param list<mixed>|null $rows */
    private function store(string $list, ?array $rows, int $version): Answer
    {
        return $this->ask('PUT', '/api/advice/'.$list, [$list => $rows], ['If-Match' => '"'.$version.'"']);
    }

    private function planned(string $exercise): Answer
    {
        $set = ['drill' => 'exercise', 'parameters' => ['exercise' => $exercise]];

        return $this->ask('POST', '/api/plans/check', [
            'content' => ['blocks' => [['kind' => 'warm-up', 'rounds' => [['seconds' => 60, 'sets' => [$set]]]]]],
        ]);
    }
}
