<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Store\CurrentGym;
use Periplus\Core\Measure\Wave;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

use function Periplus\Core\Language\t;

/**
 * Synthesises text with espeak-ng and caches the clip by text and voice. The cache is limited: when it is full, the
 * clips that were not used for longest are deleted, and made again when needed.
 */
final readonly class Speaker implements HasQuota
{
    private const LIMIT_BYTES = 500_000_000;
    /** Share of the limit that remains after clips have been deleted. */
    private const LEFT_SHARE = 0.8;
    /** Words per minute. */
    private const WORDS_PER_MINUTE = ['slow' => 190, 'plain' => 240, 'fast' => 300];
    private const VOICES = ['male' => 'en', 'female' => 'en+f3'];
    /** Peak amplitude of a clip, of 32767. */
    private const PEAKS = ['quiet' => 0.2747, 'loud' => 0.946];

    private Filesystem $files;

    public function __construct(
        #[Autowire('%env(default:clips_folder:PERIPLUS_CLIPS)%')] private string $folder,
        private CurrentGym $gym,
    ) {
        $this->files = new Filesystem();
    }

    /** Returns the digest that identifies a clip: 32 hex digits. */
    public static function digest(string $text, VoiceSettings $voice): string
    {
        return hash('xxh128', json_encode(
            [
                3,
                $text,
                'voice' => $voice->voice,
                'pace' => $voice->pace,
                'loudness' => $voice->loudness,
            ],
            \JSON_THROW_ON_ERROR,
        ));
    }

    /** @return string a WAV file, 16 bits, one channel, that begins with its first sound */
    public function clip(string $text, VoiceSettings $voice): string
    {
        $file = $this->folder().'/'.self::digest($text, $voice).'.wav';
        if (is_file($file)) {
            touch($file);

            return $this->files->readFile($file);
        }
        $process = new Process(
            [
                'espeak-ng',
                '-v',
                self::VOICES[$voice->voice],
                '-s',
                (string) self::WORDS_PER_MINUTE[$voice->pace],
                '--stdout',
                '--',
                $text,
            ],
            timeout: 10,
        );
        $wave = Wave::read($process->mustRun()->getOutput())
            ->trimmed()
            ->withPeak(self::PEAKS[$voice->loudness])
            ->write();
        // Written under another name and renamed when complete, because it may be read at the same time.
        $this->files->mkdir($this->folder());
        $this->makeRoom(\strlen($wave));
        $this->files->dumpFile($file, $wave);

        return $wave;
    }

    public function quota(): Quota
    {
        return new Quota(
            t('spoken clips'),
            array_sum(array_map(static fn (array $clip): int => $clip[1], $this->clips())),
            self::LIMIT_BYTES,
            'bytes',
        );
    }

    /** Checks the size of the folder once in a while: a clip has at most a few hundred kilobytes. */
    private function makeRoom(int $bytes): void
    {
        if (0 !== random_int(0, 19)) {
            return;
        }
        $clips = $this->clips();
        $total = $bytes + array_sum(array_column($clips, 1));
        if ($total <= self::LIMIT_BYTES) {
            return;
        }
        usort($clips, static fn (array $one, array $other): int => $one[2] <=> $other[2]);
        foreach ($clips as [$file, $size]) {
            if ($total <= self::LEFT_SHARE * self::LIMIT_BYTES) {
                break;
            }
            $this->files->remove($file);
            $total -= $size;
        }
    }

    /** @return list<array{string, int, int}> path, bytes and time of last use, s since 1970 */
    private function clips(): array
    {
        $clips = [];
        $files = glob($this->folder().'/*.wav');
        foreach (false === $files ? [] : $files as $file) {
            // Another request may have deleted it meanwhile.
            $size = @filesize($file);
            if (false !== $size) {
                $clips[] = [$file, $size, (int) @filemtime($file)];
            }
        }

        return $clips;
    }

    private function folder(): string
    {
        return $this->gym->folder($this->folder);
    }
}
