<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\Core\Measure\Synthesis;
use Periplus\Core\Measure\Wave;
use PHPUnit\Framework\Attributes\TestWith;

/** Measuring a combination by taps and by sound, over the API. */
final class MeasureTest extends ApiTestCase
{
    private int $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn('head');
        $this->id = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Ladder', 'text' => '1 2 3 2 exit']),
        )->id();
        $this->signIn('coach');
    }

    public function testARecordingBecomesHitsAndHitsBecomeLinks(): void
    {
        $hits = [];
        for ($time = 0; $time < 5; ++$time) {
            foreach ([0, 290, 960, 1250] as $after) {
                $hits[] = 400.0 + 3000 * $time + $after;
            }
        }
        $sound = $this->ask('POST', '/api/onsets', Synthesis::bag($hits, 0.15, 3)->write(), [
            'Content-Type' => 'audio/wav',
        ]);
        self::assertSame(200, $sound->status, $sound->title());
        /** @var list<float> $onsets */
        $onsets = $sound->body['onsets'];
        self::assertCount(20, $onsets);
        $measured = $this->ask('POST', "/api/combinations/{$this->id}/measure", [
            'taps' => $onsets,
            'method' => 'sound',
        ]);

        /** @var list<array{verdict: string, median: float, count: int}> $links */
        $links = $measured->body['links'];
        self::assertSame(
            [['as-computed', 5], ['stops', 5], ['as-computed', 5]],
            array_map(static fn (array $link): array => [$link['verdict'], $link['count']], $links),
        );
        self::assertEqualsWithDelta(670.0, $links[1]['median'], 10.0);
        self::assertSame(0, $this->keptCount(), 'nothing is kept by looking');
    }

    public function testTheSameMeasurementTwiceIsKeptOnceAndCanBeTakenAway(): void
    {
        $request = ['id' => 'measure-0001', 'taps' => [0, 290, 670, 960, 3500, 3790, 4170, 4460]];
        $first = $this->ask('POST', "/api/combinations/{$this->id}/measurements", $request)->id();
        self::assertSame($first, $this->ask('POST', "/api/combinations/{$this->id}/measurements", $request)->id());
        self::assertSame(1, $this->keptCount());
        self::assertSame(204, $this->ask('POST', "/api/measurements/$first/remove")->status);
        self::assertSame(0, $this->keptCount());
        $this->ask('POST', "/api/measurements/$first/restore");
        self::assertSame(1, $this->keptCount());
    }

    public function testSeveralAthletesWhoStopWhereTheCheckSaysThatItFlowsAreReported(): void
    {
        foreach ([1, 2, 3] as $athlete) {
            $taps = [];
            for ($time = 0; $time < 4; ++$time) {
                foreach ([0, 290, 920, 1210] as $after) {
                    $taps[] = 3200 * $time + $after + 3 * $athlete;
                }
            }
            $this->ask('POST', "/api/combinations/{$this->id}/measurements", [
                'id' => 'measure-000'.$athlete,
                'taps' => $taps,
            ]);
        }
        /** @var list<array{link: int, measured: array{count: int, slower: int}, disagrees: bool}> $links */
        $links = $this->ask('GET', '/api/reports/links')->body['links'];

        self::assertSame(
            [[1, 3, 3, true]],
            array_map(
                static fn (array $link): array => [
                    $link['link'],
                    $link['measured']['count'],
                    $link['measured']['slower'],
                    $link['disagrees'],
                ],
                $links,
            ),
        );
    }

    /** @param list<int> $taps */
    #[TestWith([[], 'At least two strikes have to be heard. Tap once for each strike as it lands.'])]
    #[TestWith([[5], 'At least two strikes have to be heard. Tap once for each strike as it lands.'])]
    #[TestWith([[0, -5], 'A moment is at most an hour from the first.'])]
    public function testAnImpossibleMeasurementIsRefusedWithAReason(array $taps, string $message): void
    {
        $answer = $this->ask('POST', "/api/combinations/{$this->id}/measure", ['taps' => $taps]);
        /** @var list<array{message: string}> $violations */
        $violations = $answer->body['violations'];

        self::assertSame([422, [$message]], [$answer->status, array_column($violations, 'message')]);
    }

    /** Its bytes are all control characters, which would be replaced in text. */
    public function testSilenceIsARecordingWithoutHits(): void
    {
        $silence = new Wave(array_fill(0, 16_000, 0.0), 16_000);
        $sound = $this->ask('POST', '/api/onsets', $silence->write(), ['Content-Type' => 'audio/wav']);

        self::assertSame([200, []], [$sound->status, $sound->body['onsets'] ?? null], $sound->title());
        self::assertEqualsWithDelta(1000.0, $sound->body['lengthMs'] ?? null, 0.1);
    }

    public function testARecordingThatIsTooLargeIsRefused(): void
    {
        self::assertSame(
            413,
            $this->ask('POST', '/api/onsets', str_repeat('x', 2_097_153), ['Content-Type' => 'audio/wav'])->status,
        );
    }

    public function testTheHitsOfTheSampleRecordingAreFound(): void
    {
        $sample = $this->ask('GET', '/api/onsets/sample.wav?hits=400,700,1100&noise=0.1');
        $found = $this->ask('POST', '/api/onsets', $sample->raw, ['Content-Type' => 'audio/wav'])->body['onsets'];

        self::assertIsArray($found);
        self::assertEqualsWithDelta([400.0, 700.0, 1100.0], $found, 10.0);
    }

    private function keptCount(): int
    {
        $kept = $this->ask('GET', "/api/combinations/{$this->id}/measurements")->body['measurements'];
        self::assertIsArray($kept);

        return \count($kept);
    }
}
