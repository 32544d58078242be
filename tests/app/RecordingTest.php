<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Periplus\App\Recording\RecordedFile;
use Periplus\App\Recording\RecordingFolder;
use Periplus\App\Recording\RecordingPart;
use Periplus\App\Recording\RecordingParts;
use Periplus\App\Recording\Recordings;
use Periplus\App\Store\CurrentGym;
use Periplus\App\Store\DiskFull;
use Periplus\App\Store\Invalid;
use Periplus\Core\Measure\Wave;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use PHPUnit\Framework\Attributes\TestWith;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Coaches' own videos and sounds. The files in recordings/ were made by Chromium: its test picture and tone, recorded
 * and cut there.
 */
final class RecordingTest extends ApiTestCase
{
    private int $combination;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn('head');
        $this->combination = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Ladder', 'text' => '1 2 3']),
        )->id();
        $this->signIn('coach');
    }

    #[TestWith(['video.webm', 'video', 'video/webm', 1020])]
    #[TestWith(['video.mp4', 'video', 'video/mp4', 1000])]
    #[TestWith(['sound.webm', 'sound', 'audio/webm', 1020])]
    #[TestWith(['sound.ogg', 'sound', 'audio/ogg', 1020])]
    public function testAFileIsKnownByItsContentAndComesBackAsItWas(
        string $file,
        string $kind,
        string $type,
        int $lengthMs,
    ): void {
        $content = self::content($file);
        // What the sender says of it is wrong, and does not matter.
        $kept = $this->send($content, 'combination='.$this->combination, 'text/html');
        self::assertSame(201, $kept->status, $kept->raw);
        self::assertSame(
            ['Ladder', $kind, $type, \strlen($content), $lengthMs, 'Coach Coach', true, true],
            array_map(
                static fn (string $member): mixed => $kept->body[$member],
                ['subject', 'kind', 'mediaType', 'bytes', 'lengthMs', 'coach', 'isThere', 'mayChange'],
            ),
        );
        $file = '/api/recordings/'.$kept->id().'/file';
        $whole = $this->ask('GET', $file);
        self::assertSame([200, $type], [$whole->status, $this->header('Content-Type')]);
        self::assertTrue($content === $whole->raw, 'every byte is there');

        $part = $this->ask('GET', $file, headers: ['Range' => 'bytes=100-299']);
        self::assertSame(
            [206, \sprintf('bytes 100-299/%d', \strlen($content))],
            [$part->status, $this->header('Content-Range')],
        );
        self::assertTrue(substr($content, 100, 200) === $part->raw);
        $end = $this->ask('GET', $file, headers: ['Range' => 'bytes=-16']);
        self::assertTrue(substr($content, -16) === $end->raw, 'players look at the end first');
    }

    public function testASoundOfHalfAMinuteIsTakenAndALongerOneIsRefusedWithItsLength(): void
    {
        self::assertSame(201, $this->send(self::tone(30), 'technique=jab')->status);
        $long = $this->send(self::tone(31), 'technique=cross');
        self::assertSame([422, 'not-a-recording'], [$long->status, $long->type()]);
        self::assertSame('A recording lasts at most 30 s; this one lasts 31.0 s. Cut it first.', $long->title());
    }

    /** @param non-empty-string $sentence */
    #[TestWith(['', 'Send the file of the recording.'])]
    #[TestWith(['<html><script>alert(1)</script></html>', 'This is no video or sound that can be kept.'])]
    #[TestWith(["\x89PNG\r\n\x1a\n", 'This is no video or sound that can be kept.'])]
    #[TestWith(['without-length.webm', 'This file does not say how long it is.'])]
    #[TestWith(['half of video.mp4', 'This is no video or sound that can be kept.'])]
    public function testWhatIsNoRecordingIsRefusedAndLeavesNothing(string $content, string $sentence): void
    {
        $content = match ($content) {
            'without-length.webm' => self::content($content),
            'half of video.mp4' => substr(self::content('video.mp4'), 0, 9000),
            default => $content,
        };
        $before = self::files();
        $refused = $this->send($content, 'technique=jab', 'video/webm');
        self::assertSame(422, $refused->status);
        self::assertStringStartsWith($sentence, $refused->title());
        self::assertSame($before, self::files());
        self::assertSame([], $this->list());
    }

    #[IgnoreDeprecations]
    public function testADamagedFileIsTakenOrRefusedAndNeverFails(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $path = (string) tempnam(sys_get_temp_dir(), 'recording');
        for ($time = 0; $time < 400; ++$time) {
            $content = self::content(1 === $random->getInt(0, 1) ? 'video.webm' : 'video.mp4');
            for ($changed = 0; $changed < 6; ++$changed) {
                $content[$random->getInt(0, 400)] = \chr($random->getInt(0, 255));
            }
            file_put_contents($path, $content);
            try {
                self::assertGreaterThan(0, RecordedFile::read($path)->lengthMs);
            } catch (Invalid $refused) {
                self::assertSame('not-a-recording', $refused->type);
            }
        }
        unlink($path);
    }

    #[TestWith(['', 422])]
    #[TestWith(['technique=haymaker', 422])]
    #[TestWith(['technique=jab&combination=1', 422])]
    #[TestWith(['combination=999999', 404])]
    public function testItHasToShowACombinationOrATechnique(string $of, int $status): void
    {
        self::assertSame($status, $this->send(self::tone(1), $of)->status);
    }

    public function testALargeFileIsRefusedWithTheMaximum(): void
    {
        $refused = $this->send(str_repeat('x', Recordings::MAX_BYTES + 1), 'technique=jab');
        self::assertSame([413, 'too-large'], [$refused->status, $refused->type()]);
        self::assertStringContainsString('20 MB', $refused->title());
    }

    public function testAFullGymSaysHowMuchIsMissing(): void
    {
        self::service(Connection::class)->executeStatement(
            'INSERT INTO recording (technique, file_name, bytes, format, kind, length_ms, coach_id, recorded_at)'
            ." VALUES ('cross', REPEAT('0', 73), 1999990000, 'wav', 'sound', 1, (SELECT MIN(id) FROM user), NOW())",
        );
        $before = self::files();
        $refused = $this->send(self::tone(1), 'technique=jab');
        self::assertSame([409, 'quota-reached'], [$refused->status, $refused->type()]);
        self::assertStringContainsString('at most 2,000 MB, and there is no room for another', $refused->title());
        self::assertSame($before, self::files());
        $listed = $this->ask('GET', '/api/recordings');
        self::assertSame([1_999_990_000, 2_000_000_000], [$listed->body['usedBytes'], $listed->body['limitBytes']]);
        self::assertFalse($this->list()[0]['isThere'], 'its file was never there');
    }

    public function testWhatArrivesInPartIsNotKept(): void
    {
        $content = self::content('video.webm');
        $refused = $this->ask(
            'POST',
            '/api/recordings?technique=jab',
            substr($content, 0, 30_000),
            ['Content-Length' => (string) \strlen($content)],
        );
        self::assertSame([503, 'disk-full'], [$refused->status, $refused->type()]);
        self::assertSame([], $this->list());
    }

    public function testNothingIsKeptInAFolderThatTakesNothing(): void
    {
        $this->expectException(DiskFull::class);
        $parts = self::service(RecordingParts::class);
        (new RecordingFolder('/proc/recordings', new CurrentGym(false), false, $parts))->write('sound');
    }

    public function testARecordingThatWasNotSeenIsNotReplaced(): void
    {
        $first = $this->send(self::tone(1), 'technique=jab')->id();
        $this->signIn('other');
        $unseen = $this->send(self::tone(2), 'technique=jab');
        self::assertSame([409, 'recorded-meanwhile'], [$unseen->status, $unseen->type()]);
        self::assertStringContainsString('by Coach Coach already', $unseen->title());
        $strange = $this->send(self::tone(2), 'technique=jab&replaces='.$first);
        self::assertSame([403, 'not-allowed'], [$strange->status, $strange->type()]);
        self::assertSame(403, $this->ask('POST', "/api/recordings/$first/delete")->status);
        self::assertFalse($this->list()[0]['mayChange']);

        $this->signIn('head');
        $files = self::files();
        $second = $this->send(self::tone(2), 'technique=jab&replaces='.$first);
        self::assertSame(201, $second->status, $second->raw);
        self::assertSame(404, $this->ask('GET', "/api/recordings/$first/file")->status);
        self::assertSame([$second->id()], array_column($this->list(), 'id'));
        self::assertCount(\count($files), self::files(), 'the file before is gone');
    }

    public function testADeletedRecordingIsGoneWithItsFile(): void
    {
        $before = self::files();
        $id = $this->send(self::tone(1), 'technique=jab')->id();
        self::assertCount(\count($before) + 1, self::files());
        self::assertSame(204, $this->ask('POST', "/api/recordings/$id/delete")->status);
        self::assertSame([[], $before], [$this->list(), self::files()]);
        self::assertSame(404, $this->ask('GET', "/api/recordings/$id/file")->status);
    }

    public function testACardPlaysItsRecordingsAndNoOthers(): void
    {
        $own = $this->send(self::content('video.webm'), 'combination='.$this->combination)->id();
        $hook = $this->send(self::tone(1), 'technique=lead-hook')->id();
        $kick = $this->send(self::tone(1), 'technique=lead-knee')->id();
        $card = $this->ask('POST', '/api/cards', ['name' => 'Home', 'combinations' => [$this->combination]]);
        $key = $card->body['key'];
        self::assertIsString($key);
        $this->signOut();
        $read = $this->ask('GET', "/api/athlete-cards/$key");
        self::assertStringNotContainsString('Coach Coach', $read->raw);
        /** @var list<array{recordings: list<array{id: int, technique: string|null}>}> $combinations */
        $combinations = $read->body['combinations'];
        self::assertSame(
            [[$own, null], [$hook, 'lead hook']],
            array_map(
                static fn (array $one): array => [$one['id'], $one['technique']],
                $combinations[0]['recordings'],
            ),
        );
        self::assertTrue(
            self::content('video.webm') === $this->ask('GET', "/api/athlete-cards/$key/recordings/$own")->raw,
        );
        self::assertSame(404, $this->ask('GET', "/api/athlete-cards/$key/recordings/$kick")->status);
        self::assertSame(401, $this->ask('GET', "/api/recordings/$own/file")->status);

        $this->signIn('head');
        $this->ask('POST', '/api/cards/'.$card->id().'/revoke');
        self::assertSame(410, $this->ask('GET', "/api/athlete-cards/$key/recordings/$own")->status);
    }

    public function testARecordingOfAnEarlierVersionIsMarkedAndPlayedNowhereElse(): void
    {
        $own = $this->send(self::tone(1), 'combination='.$this->combination)->id();
        $this->send(self::tone(1), 'technique=rear-uppercut');
        $this->signIn('head');
        $card = fn (): string => $this->ask(
            'GET',
            '/api/athlete-cards/'.$this->cardKey(),
        )->raw;
        self::assertStringContainsString('"recordings":[{"id":'.$own, $card());
        $changed = $this->ask(
            'PUT',
            '/api/combinations/'.$this->combination,
            self::combination(['name' => 'Ladder', 'text' => '1 2 3 6']),
            ['If-Match' => '"1"'],
        );
        self::assertSame(200, $changed->status, $changed->raw);
        $path = "/api/combinations/{$this->combination}/recordings";
        /** @var list<array{subject: string, isOutdated: bool}> $listed */
        $listed = $this->ask('GET', $path)->body['recordings'];
        self::assertSame(['Ladder' => true, 'rear uppercut' => false], array_column($listed, 'isOutdated', 'subject'));
        self::assertStringNotContainsString('"id":'.$own.',', $card());
    }

    public function testAWallAndASessionAtHomePlayItWhileItIsDemonstrated(): void
    {
        $own = $this->send(self::content('video.webm'), 'combination='.$this->combination)->id();
        $other = $this->send(self::tone(1), 'technique=lead-hook')->id();
        $plan = $this->ask('POST', '/api/plans', [
            'name' => 'Tonight',
            'startsAt' => null,
            'content' => self::demonstration(['chain' => '1 2 3', 'id' => $this->combination, 'version' => 1]),
        ])->id();
        $this->signIn('head');
        $wall = $this->ask('POST', '/api/walls', ['name' => 'Floor', 'hasKeys' => true]);
        $run = $this->ask('POST', '/api/runs', ['id' => 'start-0001', 'plan' => $plan]);
        self::assertSame(201, $run->status, $run->raw);
        $link = $this->ask('POST', '/api/session-links', [
            'name' => 'Tonight',
            'endsOn' => (new \DateTimeImmutable('+2 days'))->format('Y-m-d'),
            'plan' => $plan,
        ]);
        [$key, $linkKey] = [$wall->body['key'], $link->body['key']];
        self::assertIsString($key);
        self::assertIsString($linkKey);
        $this->signOut();
        $screen = "/api/screens/$key";
        $home = "/api/athlete-sessions/$linkKey";
        $played = static function (mixed $programme): array {
            /** @var array{chains: list<array{recording: array{id: int}|null}>} $programme */
            return array_column($programme['chains'], 'recording');
        };
        $onWall = $played($this->ask('GET', "$screen/programmes/{$run->id()}/1")->body);
        $atHome = $played($this->ask('GET', $home)->body['programme']);
        self::assertEquals(
            [['id' => $own, 'kind' => 'video', 'mediaType' => 'video/webm', 'lengthMs' => 1020, 'technique' => null]],
            array_map(
                static fn (array $one): array => array_diff_key($one, ['file' => '']),
                array_values(array_filter($onWall)),
            ),
        );
        self::assertEquals($onWall, $atHome);
        foreach (["$screen/recordings/{$run->id()}/1", "$home/recordings"] as $folder) {
            self::assertTrue(self::content('video.webm') === $this->ask('GET', "$folder/$own")->raw, $folder);
            self::assertSame(404, $this->ask('GET', "$folder/$other")->status, 'the whole combination has one');
        }
    }

    public function testAnotherWebServerFindsWhatOneHasRecorded(): void
    {
        $parts = self::service(RecordingParts::class);
        [$one, $other] = array_map(static fn (string $name): RecordingFolder => new RecordingFolder(
            sys_get_temp_dir().'/periplus-'.$name.'-'.bin2hex(random_bytes(4)),
            new CurrentGym(false),
            true,
            $parts,
        ), ['one', 'other']);
        $content = random_bytes(2 * RecordingPart::BYTES + 7);
        $name = $one->keep($one->write($content));
        mkdir(\dirname($other->path($name)));

        self::assertTrue($other->has($name));
        self::assertSame($content, file_get_contents($other->path($name)));
        self::assertFalse($other->has(strrev($name)));

        $one->remove($name);
        $other->remove($name);
        self::assertFalse($other->has($name));
        foreach ([$one, $other] as $folder) {
            self::assertSame([], glob(\dirname($folder->path($name)).'/*'), 'Nothing half written is left.');
            rmdir(\dirname($folder->path($name)));
        }
    }

    public function testBackupsContainRecordingsWhereTheHeadCoachChoosesSo(): void
    {
        $this->signIn('head');
        $chosen = fn (): mixed => $this->ask('GET', '/api/status')->body['backsUpRecordings'];
        self::assertFalse($chosen());
        self::assertSame(204, $this->ask('PUT', '/api/backups/content', ['recordings' => true])->status);
        self::assertTrue($chosen());
    }

    private function send(string $content, string $of, string $type = 'application/octet-stream'): Answer
    {
        return $this->ask('POST', '/api/recordings?'.$of, $content, ['Content-Type' => $type]);
    }

    private function cardKey(): string
    {
        $card = $this->ask('POST', '/api/cards', ['name' => 'Home', 'combinations' => [$this->combination]]);
        $key = $card->body['key'];
        self::assertIsString($key);

        return $key;
    }

    /** @return list<array{id: int, isThere: bool, mayChange: bool}> */
    private function list(): array
    {
        /** @var list<array{id: int, isThere: bool, mayChange: bool}> $recordings */
        $recordings = $this->ask('GET', '/api/recordings')->body['recordings'];

        return $recordings;
    }

    /**
     * @param array<string, mixed> $combination
     *
     * @return array<string, mixed> a plan that demonstrates it, then drills it
     */
    private static function demonstration(array $combination): array
    {
        $round = static fn (string $drill): array => [
            'seconds' => 30,
            'rest' => 30,
            'sets' => [['drill' => $drill, 'combinations' => [$combination]]],
        ];

        return [
            'rules' => 'boxing',
            'blocks' => [
                ['kind' => 'rounds', 'name' => 'Rounds', 'rounds' => [$round('demonstration'), $round('repeat')]],
            ],
        ];
    }

    /** @return list<string> names of the files that are kept */
    private static function files(): array
    {
        $folder = \dirname(self::service(RecordingFolder::class)->path('x'));
        $files = is_dir($folder) ? scandir($folder) : [];

        return false === $files ? [] : $files;
    }

    private static function content(string $file): string
    {
        return (string) file_get_contents(__DIR__.'/recordings/'.$file);
    }

    /** Returns a WAV file with a tone of that many seconds. */
    private static function tone(int $seconds): string
    {
        $samples = [];
        for ($at = 0; $at < 8000 * $seconds; ++$at) {
            $samples[] = 0.25 * sin($at / 8);
        }

        return (new Wave($samples, 8000))->write();
    }
}
