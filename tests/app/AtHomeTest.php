<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Periplus\App\Gym\GymSettings;
use PHPUnit\Framework\Attributes\TestWith;

/** Sessions that athletes do alone: a link that plays one session and nothing else, without sign-in. */
final class AtHomeTest extends ApiTestCase
{
    private int $combination;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn('head');
        $this->combination = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Ladder', 'text' => '1 2 3 2 exit']),
        )->id();
        $this->signIn('coach');
    }

    public function testAnybodyWithTheLinkGetsTheWholeSessionAndNothingElse(): void
    {
        $key = $this->key(['plan' => $this->plan()]);
        $this->signOut();
        $session = $this->ask('GET', '/api/athlete-sessions/'.$key);

        self::assertSame([200, 'Two rounds'], [$session->status, $session->body['name']]);
        /**
         * @var array{
         *     lengthMs: int,
         *     chains: list<array{numbers: array{orthodox: string}}>,
         *     said: list<array{clip: string}>,
         * } $programme
         */
        $programme = $session->body['programme'];
        self::assertSame(90_000, $programme['lengthMs']);
        self::assertSame('1 2', $programme['chains'][0]['numbers']['orthodox']);
        self::assertNotSame([], $programme['said']);
        self::assertStringNotContainsString('Coach Coach', $session->raw);
        self::assertSame(401, $this->ask('GET', '/api/session-links')->status);
        self::assertSame(401, $this->ask('GET', '/api/plans')->status);
        self::assertSame(404, $this->ask('GET', "/api/athlete-sessions/$key/clips/".str_repeat('0', 32))->status);

        $manifest = $this->ask('GET', "/api/athlete-sessions/$key/manifest");
        self::assertSame('/at-home/'.$key, $manifest->body['start_url'] ?? null);
    }

    public function testAnAthleteReadsAndHearsItInTheirOwnNumbering(): void
    {
        $this->signIn('head');
        $body = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Under', 'text' => '1 3b']),
        )->id();
        $key = $this->key(['combinations' => [$body]]);
        $session = fn (string $query): Answer => $this->ask('GET', "/api/athlete-sessions/$key$query");
        $clips = static function (Answer $answer): array {
            /** @var array{said: list<array{text: string, clip: string}>} $programme */
            $programme = $answer->body['programme'];

            return array_column($programme['said'], 'clip', 'text');
        };
        $plain = $session('');
        $pairs = $session('?numbering=body-pairs');
        self::assertStringContainsString('"orthodox":"1 3b"', $plain->raw);
        self::assertStringContainsString('"orthodox":"1 7"', $pairs->raw);
        $own = array_diff_key($clips($pairs), $clips($plain));
        self::assertNotSame([], $own, 'the voice says the numbers that are read');
        // The clips of both numberings belong to the session; without a voice on this machine they are not there yet.
        foreach ([...array_values($own), ...array_values($clips($plain))] as $clip) {
            self::assertNotSame(404, $this->ask('GET', "/api/athlete-sessions/$key/clips/$clip")->status);
        }
        self::assertSame(404, $session('?numbering=nothing')->status);
    }

    public function testACardIsPlayedInItsNumberingEachCombinationShownAndThenDone(): void
    {
        $this->signIn('head');
        $body = $this->ask('POST', '/api/combinations', self::combination(['name' => 'Under', 'text' => '1 3b']))->id();
        $card = $this->ask(
            'POST',
            '/api/cards',
            ['name' => 'Home', 'combinations' => [$this->combination, $body], 'numbering' => 'body-pairs'],
        )->id();
        $key = $this->key(['card' => $card]);
        $session = $this->ask('GET', '/api/athlete-sessions/'.$key);
        /**
         * @var array{
         *     lengthMs: int,
         *     chains: list<array{numbers: array{orthodox: string}}>,
         *     cues: list<array{atMs: int, kind: string, chain: int|null}>,
         * } $programme
         */
        $programme = $session->body['programme'];
        $shown = [];
        foreach ($programme['cues'] as $cue) {
            if ('demonstration' === $cue['kind']) {
                $shown[$cue['atMs']] = $programme['chains'][(int) $cue['chain']]['numbers']['orthodox'];
            }
        }
        // 20 s of the first in either stance, two minutes of it, the second in the rest of 30 s, two minutes of that.
        self::assertSame(290_000, $programme['lengthMs']);
        self::assertSame([0 => '1 2 3 2 exit', 10_000 => '1 2 3 2 exit', 140_000 => '1 7', 155_000 => '1 7'], $shown);
        self::assertSame(200, $this->ask('POST', "/api/cards/$card/revoke")->status);
        $revoked = $this->make(['card' => $card]);
        self::assertSame(422, $revoked->status);
        self::assertStringContainsString('This card is revoked.', $revoked->title());
        self::assertSame(404, $this->make(['card' => 999_999])->status);
    }

    public function testItStaysAsItWasWhenThePlanChanges(): void
    {
        $plan = $this->plan();
        $key = $this->key(['plan' => $plan]);
        $changed = $this->ask(
            'PUT',
            "/api/plans/$plan",
            ['name' => 'Two rounds', 'startsAt' => null, 'content' => self::content('3 2 1')],
            ['If-Match' => '"1"'],
        );
        self::assertSame(200, $changed->status, $changed->raw);
        self::assertStringContainsString('"orthodox":"1 2"', $this->ask('GET', "/api/athlete-sessions/$key")->raw);
    }

    public function testEveryEndIsCountedWithoutANameAndARevokedLinkOpensNothing(): void
    {
        $key = $this->key(['plan' => $this->plan()]);
        $this->signOut();
        self::assertSame(204, $this->ask('POST', "/api/athlete-sessions/$key/finished")->status);
        self::assertSame(204, $this->ask('POST', "/api/athlete-sessions/$key/finished")->status);
        $this->signIn('coach');
        /** @var list<array{id: int, finished: int}> $links */
        $links = $this->ask('GET', '/api/session-links')->body['links'];
        self::assertSame(2, $links[0]['finished']);

        self::assertSame(200, $this->ask('POST', "/api/session-links/{$links[0]['id']}/revoke")->status);
        $this->signOut();
        foreach (['', '/manifest', '/clips/'.str_repeat('0', 32)] as $path) {
            self::assertSame(410, $this->ask('GET', "/api/athlete-sessions/$key$path")->status, $path);
        }
        self::assertSame(410, $this->ask('POST', "/api/athlete-sessions/$key/finished")->status);
    }

    public function testALinkEndsWithItsDay(): void
    {
        $key = $this->key(['plan' => $this->plan(), 'endsOn' => self::day('today')]);
        self::assertSame(200, $this->ask('GET', "/api/athlete-sessions/$key")->status, 'the last day counts');
        self::service(Connection::class)->executeStatement(
            'UPDATE session_link SET ends_on = ?',
            [self::day('-1 day')],
        );
        $answer = $this->ask('GET', "/api/athlete-sessions/$key");
        self::assertSame(
            [410, 'This session is no longer available. Ask your coach for a new link.'],
            [$answer->status, $answer->title()],
        );
    }

    /** @param array<string, mixed> $with */
    #[TestWith([['name' => ' '], 'Give the link a name.'])]
    #[TestWith([['endsOn' => 'soon'], 'A day is written as 2026-11-26.'])]
    #[TestWith([['combinations' => []], 'Choose a session, or a combination of the library.'])]
    public function testAWrongLinkIsRefused(array $with, string $message): void
    {
        $answer = $this->make(['combinations' => [$this->combination], ...$with]);
        /** @var list<array{message: string}> $violations */
        $violations = $answer->body['violations'];
        self::assertSame([422, [$message]], [$answer->status, array_column($violations, 'message')]);
    }

    #[TestWith(['-1 day'])]
    #[TestWith(['+367 days'])]
    public function testALinkEndsWithinAYear(string $day): void
    {
        $answer = $this->make(['combinations' => [$this->combination], 'endsOn' => self::day($day)]);
        self::assertSame(422, $answer->status);
        self::assertStringContainsString('between today and '.self::day('+366 days'), $answer->raw);
    }

    public function testAnEmptySessionMakesNoLink(): void
    {
        $plan = $this->ask(
            'POST',
            '/api/plans',
            ['name' => 'Empty', 'startsAt' => null, 'content' => ['blocks' => []]],
        )->id();
        self::assertSame(422, $this->make(['plan' => $plan])->status);
    }

    public function testAFullGymSaysWhatToRemove(): void
    {
        self::service(Connection::class)->executeStatement(
            'INSERT INTO session_link (link_key, name, content, length_ms, ends_on, creator_id, created_at)'
            ." SELECT MD5(seq), 'At home', '{}', 1, ?, (SELECT MIN(id) FROM user), NOW() FROM seq_1_to_2000",
            [self::day('-1 day')],
        );
        self::assertSame(201, $this->make(['combinations' => [$this->combination]])->status, 'ended ones do not count');
        self::service(Connection::class)->executeStatement(
            'UPDATE session_link SET ends_on = ?',
            [self::day('+1 day')],
        );
        $refused = $this->make(['combinations' => [$this->combination]]);
        self::assertSame([409, 'quota-reached'], [$refused->status, $refused->body['type']]);
        self::assertStringContainsString('at most 2,000 links to sessions', $refused->raw);
    }

    private function plan(): int
    {
        return $this->ask(
            'POST',
            '/api/plans',
            ['name' => 'Two rounds', 'startsAt' => null, 'content' => self::content('1 2')],
        )->id();
    }

    /** @return array<string, mixed> */
    private static function content(string $chain): array
    {
        $set = ['drill' => 'repeat', 'combinations' => [['chain' => $chain]]];

        return [
            'rules' => 'boxing',
            'blocks' => [
                [
                    'kind' => 'rounds',
                    'name' => 'Rounds',
                    'rounds' => [['seconds' => 30, 'rest' => 30, 'times' => 2, 'sets' => [$set]]],
                ],
            ],
        ];
    }

    /** @param string $from today, such as "+28 days" */
    private static function day(string $from): string
    {
        return self::service(GymSettings::class)->today()->modify($from)->format('Y-m-d');
    }

    /** @param array<string, mixed> $with */
    private function make(array $with): Answer
    {
        return $this->ask(
            'POST',
            '/api/session-links',
            ['name' => 'Two rounds', 'endsOn' => self::day('+28 days'), ...$with],
        );
    }

    /** @param array<string, mixed> $with */
    private function key(array $with): string
    {
        $link = $this->make($with);
        self::assertSame(201, $link->status, $link->raw);
        $key = $link->body['key'];
        self::assertIsString($key);

        return $key;
    }
}
