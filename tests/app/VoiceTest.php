<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\App\Voice\Speaker;
use Periplus\App\Voice\VoiceSettings;
use Periplus\Core\Measure\Wave;
use PHPUnit\Framework\Attributes\TestWith;

/** The voice for calls, and coaches' recordings. */
final class VoiceTest extends ApiTestCase
{
    public function testAClipBeginsWithItsFirstSoundAndIsKeptByItsText(): void
    {
        $this->signIn('coach');
        $first = $this->ask('GET', '/api/voice/sample?text=one%20two');
        $wave = Wave::read($first->raw);

        self::assertSame(22_050, $wave->rate);
        self::assertGreaterThan(500 / 32_768, abs($wave->samples[0]));
        self::assertSame($first->raw, $this->ask('GET', '/api/voice/sample?text=one%20two')->raw);
    }

    #[TestWith(['slow', 'fast'])]
    #[TestWith(['slow', 'plain'])]
    #[TestWith(['plain', 'fast'])]
    public function testASlowerVoiceTakesLonger(string $slower, string $quicker): void
    {
        $of = static fn (string $pace): float => Wave::read(
            self::service(Speaker::class)->clip('one two three', new VoiceSettings('male', $pace)),
        )->length();

        self::assertGreaterThan($of($quicker), $of($slower));
    }

    public function testALoudVoiceIsLouderAndAFemaleOneIsAnother(): void
    {
        $peak = static fn (string $loudness): float => max(
            0.0,
            ...array_map(
                abs(...),
                Wave::read(self::service(Speaker::class)->clip('one', new VoiceSettings('male', 'plain', $loudness)))
                    ->samples,
            ),
        );

        self::assertEqualsWithDelta([0.2747, 0.946], [$peak('quiet'), $peak('loud')], 0.001);
        self::assertNotSame(
            self::service(Speaker::class)->clip('one', new VoiceSettings()),
            self::service(Speaker::class)->clip('one', new VoiceSettings('female')),
        );
    }

    public function testARecordedClipTakesThePlaceOfTheVoiceUntilItIsTakenAway(): void
    {
        $this->signIn('coach');
        $tone = (new Wave(
            array_map(static fn (int $index): float => 0.6 * sin($index / 8), range(0, 9000)),
            22_050,
        ))->write();
        self::assertSame(
            204,
            $this->ask('POST', '/api/voice/clips', ['text' => 'one two', 'wav' => base64_encode($tone)])->status,
        );
        $heard = $this->ask('GET', '/api/voice/sample?text=one%20two')->raw;

        self::assertSame(Wave::read($tone)->trimmed()->samples, Wave::read($heard)->samples);
        self::assertContains(
            ['text' => 'one two', 'recorded' => true],
            (array) $this->ask('GET', '/api/voice')->body['clips'],
        );
        self::assertSame(204, $this->ask('POST', '/api/voice/clips/forget', ['text' => 'one two'])->status);
        self::assertNotSame($heard, $this->ask('GET', '/api/voice/sample?text=one%20two')->raw);
        self::assertSame(404, $this->ask('POST', '/api/voice/clips/forget', ['text' => 'one two'])->status);
    }

    #[TestWith(['not a file', 'This is not a WAV recording.'])]
    #[TestWith([
        "RIFF\x24\x00\x00\x00WAVEfmt "
            ."\x10\x00\x00\x00\x01\x00\x02\x00\x44\xac\x00\x00\x10\xb1\x02\x00"
            ."\x04\x00\x10\x00data\x04\x00\x00\x00\x00\x00\x00\x00",
        'The recording has to have one track of 16 bits a sample.',
    ]),]
    #[TestWith(['RIFF....WAVE', 'The recording holds no sound.'])]
    public function testAFileThatIsNoClipIsRefusedInWords(string $file, string $sentence): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/voice/clips', ['text' => 'one', 'wav' => base64_encode($file)]);

        self::assertSame([422, $sentence], [$answer->status, $answer->title()]);
    }

    public function testAClipThatIsTooLongIsRefusedWithItsLength(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/voice/clips', [
            'text' => 'one',
            'wav' => base64_encode((new Wave(array_fill(0, 56_000, 0.3), 8000))->write()),
        ]);

        self::assertSame(
            [422, 'A clip lasts up to 6 s and has 8 to 48 kHz; this one lasts 7.0 s and has 8.0 kHz.'],
            [$answer->status, $answer->title()],
        );
    }

    public function testOnlyTheHeadCoachChoosesTheVoice(): void
    {
        $this->signIn('coach');
        self::assertSame(403, $this->ask('PUT', '/api/voice', ['voice' => 'female'])->status);
        $this->signIn('head');
        self::assertSame(
            204,
            $this->ask('PUT', '/api/voice', ['voice' => 'female', 'pace' => 'slow', 'loudness' => 'quiet'])->status,
        );
        $now = $this->ask('GET', '/api/voice')->body;
        self::assertSame(['female', 'slow', 'quiet'], [$now['voice'], $now['pace'], $now['loudness']]);
        self::assertSame(422, $this->ask('PUT', '/api/voice', ['voice' => 'loud'])->status);
    }

    public function testAWaveIsReadBackUnchanged(): void
    {
        $wave = new Wave(
            array_map(static fn (int $sample): float => (float) ($sample / 32_768), [0, 1, -32_768, 12_345]),
            16_000,
        );

        self::assertEquals($wave, Wave::read($wave->write()));
    }
}
