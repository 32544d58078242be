<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;

/** One coach, or a stranger with a key, cannot overload the server: each attempt is refused early and in words. */
final class BoundsTest extends ApiTestCase
{
    /** @return iterable<string, array{string, string, array<string, mixed>, string}> */
    public static function withNothingInAList(): iterable
    {
        yield 'a card' => ['POST', '/api/cards', ['name' => 'Take home', 'combinations' => [null]], 'combinations[0]'];
        yield 'pictures of a check' => ['POST', '/api/check', ['text' => '1 2', 'draw' => [null]], 'draw[0]'];
        yield 'several at once' => [
            'POST',
            '/api/combinations/bulk',
            ['action' => 'archive', 'combinations' => [null]],
            'combinations[0]',
        ];
        yield 'a sequence' => [
            'POST',
            '/api/plans/sequence',
            ['combinations' => [['chain' => '1 2'], null]],
            'combinations[1]',
        ];
        yield 'walls' => ['POST', '/api/runs', ['id' => 'start-0001', 'walls' => [null]], 'walls[0]'];
        yield 'what fell apart' => [
            'POST',
            '/api/logbook/entries',
            ['id' => 'entry-0001', 'day' => '2026-11-01', 'fallen' => [null]],
            'fallen[0]',
        ];
        yield 'reminders' => ['PUT', '/api/advice/reminders', ['reminders' => [null]], 'reminders[0]'];
        yield 'passed-over words' => ['PUT', '/api/passed-over-words', ['own' => [null], 'kept' => []], 'own[0]'];
        yield 'what was shown' => [
            'POST',
            '/api/screens/'.self::NO_KEY.'/shown',
            ['run' => 1, 'shown' => [null]],
            'shown[0]',
        ];
        yield 'inside a plan' => ['POST', '/api/plans/check', ['content' => ['blocks' => [null]]], 'content.blocks[0]'];
    }

    private const NO_KEY = '00000000000000000000000000000000';

    /** @param array<string, mixed> $body */
    #[DataProvider('withNothingInAList')]
    public function testNullInAListReturns422WithItsPlace(
        string $method,
        string $path,
        array $body,
        string $place,
    ): void {
        $this->signIn('head');
        $answer = $this->ask($method, $path, $body);

        self::assertSame([422, $place], [$answer->status, self::field($answer)], $answer->raw);
    }

    #[TestWith(['{"name":"x","content":{"seed":1e400}}', 'content.seed'])]
    #[TestWith([
        '{"name":"x","content":{"blocks":[{"rounds":[{"seconds":1.7e308}]}]}}',
        'content.blocks[0].rounds[0].seconds',
    ])]
    #[TestWith(['{"name":"x","content":{"seed":-9999999999999999999}}', 'content.seed'])]
    public function testHugeNumbersReturn422WithTheirPlace(string $body, string $place): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/plans', $body);

        self::assertSame([422, $place], [$answer->status, self::field($answer)], $answer->raw);
    }

    #[TestWith(['/api/reports/load?from=9999-01-01&to=9999-12-31'])]
    #[TestWith(['/api/reports/month?month=9999-12'])]
    #[TestWith(['/api/reports/month?month=0000-01'])]
    #[TestWith(['/api/reports/drilled?from=1000-01-01&to=1001-01-01'])]
    #[TestWith(['/api/reports/month.csv/9999-12'])]
    public function testFarDaysReturn422(string $path): void
    {
        $this->signIn('coach');

        self::assertSame(422, $this->ask('GET', $path)->status);
    }

    /** @param array<string, mixed> $round */
    #[TestWith([
        [
            'seconds' => 7200,
            'rest' => 0,
            'tracks' => [['track' => 0, 'pattern' => [1, 1]]],
            'sets' => [['combinations' => ['1 2']]],
        ],
        'pattern',
    ])]
    #[TestWith([
        [
            'seconds' => 60,
            'rest' => 0,
            'tracks' => [[
                'track' => 0,
                'pattern' => [
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                    1,
                    0,
                ],
            ]],
            'sets' => [['combinations' => ['1 2']]],
        ],
        'pattern',
    ])]
    #[TestWith([
        [
            'seconds' => 7200,
            'times' => 3,
            'tracks' => [
                ['track' => 0],
                ['track' => 1],
                ['track' => 2],
                ['track' => 3],
                ['track' => 4],
                ['track' => 5],
            ],
            'sets' => [['drill' => 'calls', 'combinations' => ['1'], 'parameters' => ['least' => 1, 'most' => 1]]],
        ],
        'sets',
    ])]
    public function testAPlanThatWouldCallWithoutEndSaysWhereBeforeItIsBuilt(array $round, string $field): void
    {
        $this->signIn('coach');
        $tracks = array_map(static fn (int $number): array => ['name' => 'Track '.$number, 'level' => 1], range(1, 6));
        $answer = $this->ask(
            'POST',
            '/api/plans/check',
            ['content' => [
                'name' => 'Endless',
                'tracks' => $tracks,
                'blocks' => [['kind' => 'rounds', 'rounds' => [$round]]],
            ]],
        );

        self::assertSame(200, $answer->status, $answer->raw);
        /** @var list<array{place: string, message: string}> $problems */
        $problems = $answer->body['problems'];
        $places = array_column($problems, 'place');
        self::assertNotSame(
            [],
            array_filter($places, static fn (string $place): bool => str_ends_with($place, $field)),
            $answer->raw,
        );
    }

    public function testAPlanOfTooManyValuesIsRefused(): void
    {
        $this->signIn('coach');
        $answer = $this->ask(
            'POST',
            '/api/plans',
            ['name' => 'Dense', 'content' => ['unknown' => array_fill(0, 10_001, 0)]],
        );

        self::assertSame([422, 'content'], [$answer->status, self::field($answer)], $answer->raw);
    }

    public function testMoreThanTwelveSessionsDoNotRunAtOnce(): void
    {
        $this->signIn('coach');
        for ($number = 1; $number <= 12; ++$number) {
            self::assertSame(
                201,
                $this->ask(
                    'POST',
                    '/api/runs',
                    ['id' => 'start-'.(1000 + $number), 'timer' => ['rounds' => 1]],
                )->status,
            );
        }
        $answer = $this->ask('POST', '/api/runs', ['id' => 'start-9999', 'timer' => ['rounds' => 1]]);

        self::assertSame([409, 'too-many'], [$answer->status, $answer->type()]);
    }

    public function testARoundDoneAgainStaysWithinTwelveHours(): void
    {
        $this->signIn('coach');
        $content = [
            'name' => 'Long',
            'blocks' => [[
                'kind' => 'rounds',
                'rounds' => [
                    ['seconds' => 7200, 'sets' => [['drill' => 'free']]],
                    ['seconds' => 7200, 'sets' => [['drill' => 'free']]],
                ],
            ]],
        ];
        $plan = $this->ask('POST', '/api/plans', ['name' => 'Long', 'content' => $content])->id();
        $run = $this->ask('POST', '/api/runs', ['id' => 'start-0001', 'plan' => $plan, 'leadIn' => 0])->id();
        $statuses = [];
        for ($revision = 1; $revision <= 6; ++$revision) {
            $statuses[] = $this->ask(
                'POST',
                "/api/runs/$run/commands",
                ['id' => 'press-000'.$revision, 'kind' => 'again', 'seen' => $revision],
            )->status;
        }

        self::assertSame([200, 200, 200, 200, 409, 409], $statuses);
    }

    public function testAnEndedSessionCanBeDeletedByTheHeadCoach(): void
    {
        $this->signIn('head');
        $run = $this->ask('POST', '/api/runs', ['id' => 'start-0001', 'timer' => ['rounds' => 1]])->id();
        self::assertSame(409, $this->ask('POST', "/api/runs/$run/remove")->status, 'It is running.');
        $this->ask('POST', "/api/runs/$run/commands", ['id' => 'press-0001', 'kind' => 'end', 'seen' => 1]);

        self::assertSame(204, $this->ask('POST', "/api/runs/$run/remove")->status);
        self::assertSame(404, $this->ask('GET', "/api/runs/$run")->status);
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['day' => '0000-01-01'], 'is out of range'])]
    #[TestWith([['day' => '2999-01-01'], 'is out of range'])]
    public function testAForeignLogbookOfAnImpossibleDayIsRefused(array $with, string $says): void
    {
        $answer = $this->importLog([['key' => 'entry-0001', 'day' => '2026-11-01', ...$with]]);

        self::assertSame(422, $answer->status);
        self::assertStringContainsString($says, $answer->title());
    }

    public function testAForeignLogbookWithThousandsOfFallenLinksIsRefused(): void
    {
        $fallen = array_fill(0, 40_000, ['chain' => '1 2', 'stance' => 'orthodox', 'link' => 1]);

        self::assertSame(
            422,
            $this->importLog([['key' => 'entry-0001', 'day' => '2026-11-01', 'fallen' => $fallen]])->status,
        );
    }

    public function testHugeFiguresOfAForeignLogbookBreakNoReport(): void
    {
        $drilled = [
            'combination' => 'One',
            'chain' => '1 2',
            'stance' => 'orthodox',
            'medium' => 'bag',
            'ms' => 60_000,
            'repetitions' => 1.7e308,
            'strikes' => 1.7e308,
        ];
        $answer = $this->importLog([[
            'key' => 'entry-0001',
            'day' => '2026-11-01',
            'workMs' => 60_000,
            'drilled' => [$drilled, $drilled],
        ]]);

        self::assertSame(200, $answer->status, $answer->raw);
        self::assertSame(200, $this->ask('GET', '/api/reports/load?from=2026-10-01&to=2026-11-30')->status);
        self::assertSame(200, $this->ask('GET', '/api/reports/month?month=2026-11')->status);
    }

    public function testALargeLogbookComesInStepByStep(): void
    {
        $entries = array_map(
            static fn (int $number): array => ['key' => 'entry-'.(1000 + $number), 'day' => '2026-11-01'],
            range(0, 249),
        );
        $steps = [];
        for ($from = 0; null !== $from;) {
            $answer = $this->importLog($entries, $from);
            $steps[] = $answer->body['new'];
            $from = $answer->body['next'];
            self::assertTrue(null === $from || \is_int($from));
        }

        self::assertSame([100, 100, 50], $steps);
        self::assertSame(100, $this->importLog($entries)->body['known'], 'sent again');
    }

    #[TestWith(['/api/session', 64, '64 kB'])]
    #[TestWith(['/api/combinations', 64, '64 kB'])]
    #[TestWith(['/api/imports', 4096, '4 MB'])]
    #[TestWith(['/api/logbook/import', 4096, '4 MB'])]
    #[TestWith(['/api/onsets', 2048, '2 MB'])]
    #[TestWith(['/api/voice/clips', 1024, '1 MB'])]
    public function testABodyIsRefusedByItsSizeBeyondWhatItsRouteTakes(
        string $path,
        int $kilobytes,
        string $said,
    ): void {
        $this->signIn('head');
        $body = str_repeat('x', 1024 * $kilobytes);
        $type = ['Content-Type' => 'application/json'];

        self::assertNotSame(413, $this->ask('POST', $path, $body, $type)->status, 'as large as it may be');
        $refused = $this->ask('POST', $path, $body.'x', $type);
        self::assertSame(
            [413, 'too-large', "This is larger than the $said the server takes at a time."],
            [$refused->status, $refused->type(), $refused->title()],
        );
    }

    public function testAnIdThatEndsInALineBreakIsRefused(): void
    {
        $this->signIn('coach');

        self::assertSame(422, $this->ask('POST', '/api/runs', '{"id":"start-0001\n","timer":{"rounds":1}}')->status);
    }

    /** @param list<array<string, mixed>> $entries */
    private function importLog(array $entries, int $from = 0): Answer
    {
        $this->signIn('head');
        $file = json_encode(
            ['format' => 'periplus-logbook', 'version' => 1, 'entries' => $entries],
            \JSON_THROW_ON_ERROR,
        );

        return $this->ask('POST', '/api/logbook/import?from='.$from, $file, ['Content-Type' => 'text/plain']);
    }

    private static function field(Answer $answer): string
    {
        $violations = $answer->body['violations'] ?? [];
        $first = \is_array($violations) ? $violations[0] ?? [] : [];

        return \is_array($first) && \is_string($first['field'] ?? null) ? $first['field'] : '';
    }
}
