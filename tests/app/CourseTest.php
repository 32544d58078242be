<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\App\Gym\GymSettings;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;

/** Courses, and sessions that are generated for them. */
final class CourseTest extends ApiTestCase
{
    public function testACourseIsMadeChangedArchivedAndBroughtBack(): void
    {
        $this->signIn('head');
        $made = $this->ask('POST', '/api/courses', self::course());
        self::assertSame(201, $made->status);
        $id = $made->id();
        self::assertSame([1, 2, 3], $made->body['levels'], 'in their order');
        self::assertSame(
            200,
            $this->ask('PUT', "/api/courses/$id", self::course(['name' => 'Wednesday']), ['If-Match' => '"1"'])->status,
        );
        self::assertSame(412, $this->ask('PUT', "/api/courses/$id", self::course(), ['If-Match' => '"1"'])->status);
        self::assertTrue($this->ask('POST', "/api/courses/$id/archive", null, ['If-Match' => '"2"'])->body['archived']);
        self::assertFalse(
            $this->ask('POST', "/api/courses/$id/restore", null, ['If-Match' => '"3"'])->body['archived'],
        );
        $courses = $this->ask('GET', '/api/courses')->body['courses'];
        self::assertIsArray($courses);
        self::assertSame(['Wednesday'], array_column($courses, 'name'));
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['name' => ''], 'Give the course a name.'])]
    #[TestWith([['levels' => []], 'Choose at least one level.'])]
    #[TestWith([['levels' => [1, 9]], 'A level is 1, 2 or 3.'])]
    #[TestWith([['minutes' => 5], 'A session lasts 15 to 180 minutes.'])]
    #[TestWith([['time' => 'evening'], 'A time is written as 18:30.'])]
    #[TestWith([['rests' => []], 'Name at least one rest.'])]
    #[TestWith([['rules' => 'fencing'], 'The rules are boxing, kickboxing or all-limbs.'])]
    public function testACourseThatCannotBeIsRefusedInPlainWords(array $with, string $sentence): void
    {
        $this->signIn('head');
        $answer = $this->ask('POST', '/api/courses', self::course($with));

        self::assertSame(422, $answer->status);
        self::assertStringContainsString($sentence, $answer->title());
    }

    public function testASyllabusSaysWeekByWeekWhatIsTaughtAndWhatIsNew(): void
    {
        $this->signIn('head');
        $course = $this->ask('POST', '/api/courses', self::course())->id();
        $ids = [];
        foreach (['1 2', '1 2 3', '1 2 3b'] as $chain) {
            $ids[] = $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => 'C '.$chain, 'text' => $chain]),
            )->id();
        }
        $empty = $this->ask('GET', "/api/courses/$course/syllabus")->body;
        self::assertSame([[], 1, null], [$empty['weeks'], $empty['version'], $empty['now']]);

        $today = self::service(GymSettings::class)->today();
        $weeks = [
            ['theme' => 'straights', 'combinations' => [$ids[0]]],
            ['theme' => 'hooks', 'note' => 'slowly', 'combinations' => [$ids[1], $ids[2]]],
            ['theme' => 'again', 'combinations' => [$ids[1]]],
        ];
        $body = ['startsOn' => $today->modify('-7 days')->format('Y-m-d'), 'weeks' => $weeks];
        $written = $this->ask('PUT', "/api/courses/$course/syllabus", $body, ['If-Match' => '"1"']);
        self::assertSame(200, $written->status, $written->raw);
        self::assertSame([2, 1], [$written->body['version'], $written->body['now']]);
        /**
         * @var list<array{
         *     theme: string,
         *     monday: string,
         *     isReached: bool,
         *     combinations: list<array{buildsOn: string|null, new: list<string>, times: int, held: bool|null}>,
         * }> $read
         */
        $read = $written->body['weeks'];
        self::assertSame(['straights', 'hooks', 'again'], array_column($read, 'theme'));
        self::assertSame($today->modify('monday this week')->format('Y-m-d'), $read[1]['monday']);
        self::assertFalse($read[0]['isReached']);
        self::assertSame([null, ['jab → cross']], [
            $read[0]['combinations'][0]['buildsOn'],
            $read[0]['combinations'][0]['new'],
        ]);
        self::assertSame(['C 1 2', ['cross → lead hook']], [
            $read[1]['combinations'][0]['buildsOn'],
            $read[1]['combinations'][0]['new'],
        ]);
        self::assertSame([null, []], [
            $read[2]['combinations'][0]['buildsOn'],
            $read[2]['combinations'][0]['new'],
        ]);
        self::assertSame(
            412,
            $this->ask('PUT', "/api/courses/$course/syllabus", $body, ['If-Match' => '"1"'])->status,
        );

        // Generating follows the week of today, and says so.
        $made = $this->ask('POST', '/api/plans/compose', ['course' => $course, 'aim' => 'syllabus', 'seed' => 3]);
        self::assertSame(200, $made->status, $made->raw);
        self::assertStringContainsString('week 2, hooks', $made->raw);
        self::assertIsArray($made->body['content']);
        $name = $made->body['content']['name'] ?? null;
        self::assertIsString($name);
        self::assertStringEndsWith(': week 2, hooks', $name);
        self::assertStringContainsString('"C 1 2 3b"', $made->raw);
        $other = $this->ask(
            'POST',
            '/api/plans/compose',
            ['course' => $course, 'aim' => 'syllabus', 'value' => '9', 'seed' => 3],
        );
        self::assertSame(422, $other->status);

        // What was drilled and held is reached.
        $logged = $this->ask('POST', '/api/logbook/entries', [
            'id' => 'entry-syllabus',
            'day' => $today->format('Y-m-d'),
            'course' => $course,
            'combinations' => [['combination' => $ids[0], 'minutes' => 5]],
        ]);
        self::assertSame(201, $logged->status, $logged->raw);
        $after = $this->ask('GET', "/api/courses/$course/syllabus")->body['weeks'];
        self::assertIsArray($after);
        self::assertSame([true, false, false], array_column($after, 'isReached'));
    }

    public function testASyllabusIsSavedAsAFileAndReadWithTheLibraryThatIsThere(): void
    {
        $this->signIn('head');
        $ids = [];
        foreach (['One' => '1 2', 'Two' => '1 2 3b'] as $name => $chain) {
            $content = self::combination(['name' => $name, 'text' => $chain]);
            $ids[] = $this->ask('POST', '/api/combinations', $content)->id();
        }
        $course = $this->ask('POST', '/api/courses', self::course())->id();
        $body = [
            'startsOn' => '2026-12-07',
            'weeks' => [
                ['theme' => 'straights', 'note' => 'slowly', 'combinations' => [$ids[1], $ids[0]]],
                ['theme' => 'again', 'combinations' => [$ids[0], $ids[1]]],
            ],
        ];
        $this->ask('PUT', "/api/courses/$course/syllabus", $body, ['If-Match' => '"1"']);
        $file = $this->ask('GET', "/api/courses/$course/syllabus.json");
        self::assertSame(200, $file->status);
        $read = fn (string $content): Answer => $this->ask('POST', '/api/syllabus-files', $content);
        $again = $read($file->raw);
        self::assertSame(200, $again->status, $again->raw);
        self::assertSame(['2026-12-07', []], [$again->body['startsOn'], $again->body['missing']]);
        /** @var list<array{theme: string, note: string, combinations: list<array{id: int}>}> $weeks */
        $weeks = $again->body['weeks'];
        self::assertSame(
            [['straights', 'slowly', [$ids[1], $ids[0]]], ['again', '', [$ids[0], $ids[1]]]],
            array_map(
                static fn (array $week): array => [
                    $week['theme'],
                    $week['note'],
                    array_column($week['combinations'], 'id'),
                ],
                $weeks,
            ),
            'in the order in which they are taught',
        );

        // A chain that this library does not have is named, and the rest is there.
        $other = $read(strtr($file->raw, ['1 2 3b' => '6 5 6 5 6']));
        self::assertSame(['Two: 6 5 6 5 6'], $other->body['missing']);
        $unreadable = $read(strtr($file->raw, ['1 2 3b' => 'haymaker']));
        self::assertSame(['Two: haymaker'], $unreadable->body['missing']);
        $wrong = [
            '{"format": "periplus-logbook", "weeks": []}' => 'This is not a syllabus of Periplus.',
            '{"format": "periplus-syllabus", "version": 2, "weeks": []}' => 'from a newer version',
        ];
        foreach ($wrong as $content => $says) {
            $refused = $read($content);
            self::assertSame(422, $refused->status);
            self::assertStringContainsString($says, $refused->title());
        }
    }

    public function testASyllabusThatIsTaughtAgainIsComparedWithTheLastTime(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        $course = $this->ask('POST', '/api/courses', self::course())->id();
        $today = self::service(GymSettings::class)->today();
        $body = [
            'startsOn' => $today->modify('monday this week')->format('Y-m-d'),
            'weeks' => [['theme' => '', 'note' => '', 'combinations' => [$id]]],
        ];
        $this->ask('PUT', "/api/courses/$course/syllabus", $body, ['If-Match' => '"1"']);
        $fallen = [['notation' => '1 2 3b exit', 'stance' => 'orthodox', 'link' => 1]];
        foreach (['-90 days' => $fallen, '-83 days' => $fallen, '-76 days' => [], '+0 days' => []] as $ago => $fell) {
            $logged = $this->ask('POST', '/api/logbook/entries', [
                'id' => 'entry'.strtr($ago, ' +', '--'),
                'day' => $today->modify($ago)->format('Y-m-d'),
                'course' => $course,
                'combinations' => [['combination' => $id, 'minutes' => 5]],
                'fallen' => $fell,
            ]);
            self::assertSame(201, $logged->status, $logged->raw);
        }
        /**
         * @var list<array{
         *     combinations: list<array{now: array<string, int>, before: array<string, int>}>,
         * }> $weeks
         */
        $weeks = $this->ask('GET', "/api/courses/$course/syllabus")->body['weeks'];
        self::assertSame(
            [['times' => 1, 'fell' => 0], ['times' => 3, 'fell' => 2]],
            [$weeks[0]['combinations'][0]['now'], $weeks[0]['combinations'][0]['before']],
        );
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['startsOn' => 'soon'], 'A day is written as 2026-11-26.'])]
    #[TestWith([['weeks' => [['combinations' => ['x']]]], 'Give each combination by its id.'])]
    public function testAWrongSyllabusIsRefused(array $with, string $sentence): void
    {
        $this->signIn('head');
        $course = $this->ask('POST', '/api/courses', self::course())->id();
        $answer = $this->ask(
            'PUT',
            "/api/courses/$course/syllabus",
            ['weeks' => [], ...$with],
            ['If-Match' => '"1"'],
        );
        self::assertSame(422, $answer->status);
        self::assertStringContainsString($sentence, $answer->raw);
    }

    /** TCPDF triggers a deprecation notice at every use. */
    #[IgnoreDeprecations]
    public function testASyllabusIsPrinted(): void
    {
        $this->signIn('head');
        $course = $this->ask('POST', '/api/courses', self::course())->id();
        self::assertStringStartsWith('%PDF-', $this->ask('GET', "/api/courses/$course/syllabus.pdf")->raw);
    }

    public function testASessionInOnePressComesFromTheLibraryAndSaysWhy(): void
    {
        $this->signIn('head');
        $names = [];
        $chains = [
            '1 2',
            '1 1 2',
            '1 2 3',
            '1 2 3 2 exit',
            '2 3 2 exit',
            '1b 2',
            '1 2b exit',
            '3 2 exit',
        ];
        foreach ($chains as $number => $chain) {
            $names[] = $name = 'Number '.$number;
            self::assertSame(
                201,
                $this->ask('POST', '/api/combinations', self::combination(['name' => $name, 'text' => $chain]))->status,
            );
        }
        $course = $this->ask('POST', '/api/courses', self::course())->id();
        $answer = $this->ask('POST', '/api/plans/compose', ['course' => $course, 'minutes' => 60, 'seed' => 3]);
        self::assertSame(200, $answer->status, $answer->raw);
        $content = $answer->body['content'];
        self::assertIsArray($content);
        self::assertSame(60, $content['minutes']);
        self::assertCount(3, (array) $content['tracks']);
        self::assertIsArray($answer->body['reasons']);
        self::assertStringContainsString(
            'in no session of this course yet',
            json_encode($answer->body['reasons'], \JSON_THROW_ON_ERROR),
        );
        self::assertSame([], $this->ask('POST', '/api/plans/check', ['content' => $content])->body['problems']);
        // Once the session was held, what it contained counts.
        $this->ask('POST', '/api/plans', [
            'name' => 'Held',
            'course' => $course,
            'startsAt' => '2020-01-07T18:30',
            'content' => $content,
        ]);
        $next = $this->ask('POST', '/api/plans/compose', ['course' => $course, 'minutes' => 60, 'seed' => 3]);
        self::assertIsArray($next->body['reasons']);
        self::assertStringContainsString(
            'last in a session on 2020-01-07, once so far',
            json_encode($next->body['reasons'], \JSON_THROW_ON_ERROR),
        );
        // The second session of the progression has a shorter rest.
        $second = $next->body['content'];
        self::assertIsArray($second);
        self::assertStringContainsString('"rest":50', json_encode($second, \JSON_THROW_ON_ERROR));
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['aim' => 'theme', 'value' => 'dancing'], 422])]
    #[TestWith([['aim' => 'mood'], 422])]
    #[TestWith([['minutes' => 4], 422])]
    #[TestWith([['course' => 99], 404])]
    public function testWishesThatCannotBeAreRefused(array $with, int $status): void
    {
        $this->signIn('head');
        $course = $this->ask('POST', '/api/courses', self::course())->id();

        self::assertSame($status, $this->ask('POST', '/api/plans/compose', ['course' => $course, ...$with])->status);
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private static function course(array $with = []): array
    {
        return [
            'name' => 'Tuesday',
            'rules' => 'boxing',
            'levels' => [3, 1, 2],
            'minutes' => 60,
            'weekday' => 2,
            'time' => '18:30',
            'rests' => [60, 50],
            ...$with,
        ];
    }
}
