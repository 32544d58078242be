<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\App\Plan\Vtt;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Place;
use Periplus\Core\Session\Serializer\CueDocument;
use Periplus\Core\Session\Serializer\SessionDocument;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;

/**
 * Planned sessions as files. A browser test reads WebVTT and calendar with independent readers; here Poppler reads the
 * paper.
 */
final class PlanFilesTest extends ApiTestCase
{
    #[IgnoreDeprecations]
    public function testThePaperOfTheCoachIsOnePageWithTimesDrillsAndLoad(): void
    {
        $text = $this->pdf('sheet.pdf', self::long());

        self::assertStringContainsString('Liver', $text);
        self::assertStringContainsString('Tuesday 1 December 2026, 18:30', $text);
        self::assertStringContainsString('Set list', $text);
        self::assertStringContainsString('1 2 3b', (string) preg_replace('/ +/', ' ', $text));
        self::assertMatchesRegularExpression('/orthodox: \d+ strikes, \d+ left, \d+ right/', $text);
        self::assertStringContainsString('the licensed coach and the', $text);
    }

    #[IgnoreDeprecations]
    public function testThePaperOfTheCoachNamesExercisesAsTheGymDoes(): void
    {
        $this->signIn('head');
        $all = $this->ask('GET', '/api/advice')->body['exercises'];
        self::assertIsArray($all);
        $own = array_map(
            static fn (mixed $one): array => \is_array($one)
                ? [...$one, 'name' => 'jogging' === $one['id'] ? 'once round the quay' : $one['name']]
                : [],
            $all,
        );
        self::assertSame(
            200,
            $this->ask('PUT', '/api/advice/exercises', ['exercises' => $own], ['If-Match' => '"1"'])->status,
        );

        self::assertStringContainsString('Once round the quay', $this->pdf('sheet.pdf', self::long()));
    }

    #[IgnoreDeprecations]
    public function testThePaperForTheDoorIsOnePageWithDayAndCombinations(): void
    {
        $text = $this->pdf('door.pdf', self::long());

        self::assertStringContainsString('Tuesday 1 December 2026', $text);
        self::assertStringContainsString('Warm-up', $text);
        self::assertStringContainsString('1 2 3b', (string) preg_replace('/ +/', ' ', $text));
    }

    public function testTheCuesAreWebVtt(): void
    {
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', PlanTest::plan())->id();
        $lines = explode("\n", $this->ask('GET', "/api/plans/$id/cues.vtt")->raw);

        self::assertSame('WEBVTT Liver', $lines[0]);
        self::assertContains('00:00:00.000 --> 00:00:08.000', $lines);
        self::assertContains('southpaw: right jab, left cross, right hook to the body', $lines);
    }

    /** An empty line would end a cue of WebVTT: W3C, WebVTT, section 4.1. */
    public function testAnEmptyLineInATextCutsNoCue(): void
    {
        $cue = static fn (int $atMs, string $text): CueDocument => new CueDocument(
            new Cue($atMs, null, CueKind::Show, $text, new Place()),
            ['orthodox' => $text, 'southpaw' => ''],
            null,
            null,
            [],
        );
        $cues = [$cue(0, "one\n\n \ntwo --> 3"), $cue(1000, "\n\n")];
        $blocks = explode(
            "\n\n",
            trim(Vtt::write(new SessionDocument(
                name: '',
                seed: 1,
                lengthMs: 8000,
                tracks: [],
                load: [],
                warnings: [],
                problems: [],
                sets: [],
                needs: [],
                shared: [],
                seams: [],
                segments: [],
                cues: $cues,
            ), 'Session')),
        );

        self::assertCount(3, $blocks, 'the head and two cues');
        self::assertStringEndsWith("one\ntwo --&gt; 3", $blocks[1]);
    }

    public function testTheContentComesOutAndGoesInAgain(): void
    {
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', PlanTest::plan())->id();
        $content = $this->ask('GET', "/api/plans/$id/plan.json")->body;
        $again = $this->ask('POST', '/api/plans', ['name' => 'Again', 'content' => $content])->id();

        self::assertEquals(
            PlanTest::writtenOut([...PlanTest::content(), 'name' => 'Liver']),
            $this->ask('GET', "/api/plans/$again")->body['content'],
        );
    }

    /** The calendar library triggers deprecation notices of PHP. */
    #[IgnoreDeprecations]
    public function testACalendarKeepsTheIdOfASessionAndCountsItsVersions(): void
    {
        $this->signIn('head');
        $this->setTimeZone('Europe/Lisbon');
        $soon = (new \DateTimeImmutable('+3 days'))->format('Y-m-d').'T18:30';
        $id = $this->ask(
            'POST',
            '/api/plans',
            PlanTest::plan(['name' => 'Liver; body, and "more"', 'startsAt' => $soon]),
        )->id();
        $first = $this->calendar();
        $this->ask(
            'PUT',
            "/api/plans/$id",
            PlanTest::plan(['name' => 'Later', 'startsAt' => str_replace('18:30', '19:00', $soon)]),
            ['If-Match' => '"1"'],
        );
        $second = $this->calendar();
        $this->ask('POST', "/api/plans/$id/archive", null, ['If-Match' => '"2"']);

        self::assertStringContainsString('SUMMARY:Liver\; body\, and "more"', $first);
        self::assertSame(self::field('UID', $first), self::field('UID', $second));
        self::assertSame(['1', '2'], [self::field('SEQUENCE', $first), self::field('SEQUENCE', $second)]);
        self::assertStringContainsString('STATUS:CANCELLED', $this->calendar());
        self::assertStringContainsString("\r\n", $first);
    }

    private function calendar(): string
    {
        $answer = $this->ask('GET', '/api/calendar.ics');
        self::assertSame(200, $answer->status);

        return $answer->raw;
    }

    private static function field(string $name, string $calendar): string
    {
        self::assertSame(1, preg_match("/^$name:(.*)\r$/m", $calendar, $found));

        return $found[1];
    }

    /**
     * @param array<string, mixed> $content
     *
     * @return string the text of the one page
     */
    private function pdf(string $file, array $content): string
    {
        $this->signIn('coach');
        $id = $this->ask('POST', '/api/plans', PlanTest::plan(['content' => $content]))->id();
        $answer = $this->ask('GET', "/api/plans/$id/$file");
        self::assertSame(200, $answer->status, substr($answer->raw, 0, 300));
        $path = tempnam(sys_get_temp_dir(), 'plan');
        self::assertIsString($path);
        file_put_contents($path, $answer->raw);
        $info = (string) shell_exec('pdfinfo '.escapeshellarg($path));
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($path).' -');
        unlink($path);
        self::assertMatchesRegularExpression('/Pages:\s+1\n/', $info);

        return $text;
    }

    /** @return array<string, mixed> three tracks, many rounds */
    private static function long(): array
    {
        $round = static fn (int $number): array => [
            'seconds' => 180,
            'rest' => 60,
            'note' => 'Watch the guard in round '.$number.'.',
            'sets' => [['drill' => 'set-list', 'combinations' => ['1 2 3b', '1 2 3b 2', '1 2 3b 14l']]],
            'tracks' => [
                ['track' => 0, 'pattern' => [60, 60], 'sets' => [['combinations' => ['1 2']]]],
                ['track' => 1, 'sets' => [['combinations' => ['1 2 3b']]]],
                ['track' => 2],
            ],
        ];

        return [
            'rules' => 'kickboxing',
            'medium' => 'pads',
            'tracks' => [
                ['name' => 'Level 1', 'level' => 1],
                ['name' => 'Level 2', 'level' => 2],
                ['name' => 'Level 3', 'level' => 3],
            ],
            'blocks' => [
                [
                    'kind' => 'warm-up',
                    'rounds' => [
                        [
                            'seconds' => 300,
                            'sets' => [
                                ['drill' => 'exercise'],
                                ['drill' => 'exercise', 'parameters' => ['exercise' => 'leg-swings']],
                            ],
                        ],
                    ],
                    'changeover' => 60,
                ],
                ['kind' => 'rounds', 'rounds' => array_map($round, range(1, 12))],
            ],
        ];
    }
}
