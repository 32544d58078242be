<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** Speaks a text with espeak-ng and keeps the clip by its text and voice: made when first needed, never again. */
final readonly class Speaker
{
    /** Words a minute. */
    private const PACES = ['slow' => 190, 'plain' => 240, 'fast' => 300];
    private const VOICES = ['male' => 'en', 'female' => 'en+f3'];
    /** Largest sample of a clip, of 32767. */
    private const PEAKS = ['quiet' => 9000, 'loud' => 31_000];

    private Filesystem $files;

    public function __construct(#[Autowire('%env(default:clips_folder:PERIPLUS_CLIPS)%')] private string $folder)
    {
        $this->files = new Filesystem();
    }

    /** What a clip is told by, 32 hex digits. */
    public static function digest(string $text, VoiceSettings $voice): string
    {
        return hash('xxh128', json_encode([3, $text, ...$voice->toArray()], \JSON_THROW_ON_ERROR));
    }

    /** @return string a WAV file, 16 bits, one channel, that begins with its first sound */
    public function clip(string $text, VoiceSettings $voice): string
    {
        $file = $this->folder.'/'.self::digest($text, $voice).'.wav';
        if (is_file($file)) {
            return $this->files->readFile($file);
        }
        $process = new Process(['espeak-ng', '-v', self::VOICES[$voice->voice], '-s', (string) self::PACES[$voice->pace], '--stdout', '--', $text], timeout: 10);
        $wave = Wave::of($process->mustRun()->getOutput())->trimmed()->withPeak(self::PEAKS[$voice->loudness])->bytes();
        // Beside its place and moved in when whole: it may be asked for at the same time.
        $this->files->mkdir($this->folder);
        $this->files->dumpFile($file, $wave);

        return $wave;
    }
}
