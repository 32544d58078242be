<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Http\ApiProblem;
use Psr\Clock\ClockInterface;

/** The clips of calls: spoken by the voice of the gym, or recorded by a coach, whose clip takes the place of the spoken one. */
final readonly class Clips implements HasQuota
{
    private const LIMIT = 1000;
    /** Of one session; what is missing then is spoken when it is first asked for. */
    private const MAX_PREPARED = 500;
    /** Longest that is recorded, ms. */
    public const LONGEST = 6000;

    public function __construct(private Connection $connection, private Speaker $speaker, private AuditLog $audit, private ClockInterface $clock)
    {
    }

    public function settings(): VoiceSettings
    {
        $stored = $this->connection->fetchOne('SELECT voice FROM gym WHERE id = 1');
        /** @var array{voice: string, pace: string, loudness: string}|null $row */
        $row = \is_string($stored) ? json_decode($stored, true) : null;

        return null === $row ? new VoiceSettings() : new VoiceSettings($row['voice'], $row['pace'], $row['loudness']);
    }

    public function use(VoiceSettings $settings, User $user): void
    {
        $this->connection->update('gym', ['voice' => json_encode($settings->toArray(), \JSON_THROW_ON_ERROR)], ['id' => 1]);
        $this->audit->add($user->id(), 'gym.voice', \sprintf('set the voice of calls to %s, %s, %s', $settings->voice, $settings->pace, $settings->loudness), 'gym');
    }

    /**
     * What the clip of each text is told by.
     *
     * @param list<string> $texts
     *
     * @return array<string, string> by text
     */
    public function digests(array $texts): array
    {
        $settings = $this->settings();
        $digests = [];
        foreach ($texts as $text) {
            $digests[$text] = Speaker::digest($text, $settings);
        }

        return array_replace($digests, array_intersect_key($this->recorded(), $digests));
    }

    /**
     * The sound of a clip.
     *
     * @param string $text for when it has to be spoken first
     */
    public function sound(string $digest, string $text): string
    {
        $recorded = $this->connection->fetchOne('SELECT sound FROM recorded_clip WHERE digest = ?', [$digest]);

        return \is_string($recorded) ? $recorded : $this->speaker->clip($text, $this->settings());
    }

    /**
     * Makes those that are missing, so that none is made while a session runs.
     *
     * @param list<string> $texts
     */
    public function prepare(array $texts): void
    {
        $settings = $this->settings();
        foreach (\array_slice(array_diff($texts, array_keys($this->recorded())), 0, self::MAX_PREPARED) as $text) {
            $this->speaker->clip($text, $settings);
        }
    }

    public function quota(): Quota
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM recorded_clip');

        return new Quota('recorded clips', (int) $count, self::LIMIT);
    }

    /** @return array<string, string> digest by text */
    public function recorded(): array
    {
        /** @var array<string, string> $digests */
        $digests = $this->connection->fetchAllKeyValue('SELECT said, digest FROM recorded_clip ORDER BY said');

        return $digests;
    }

    public function record(string $text, string $file, User $user): void
    {
        if ('' === $text || mb_strlen($text) > 200) {
            throw new ApiProblem(422, 'invalid', 'Say what is heard in the clip, in at most 200 characters.');
        }
        try {
            $wave = Wave::of($file);
        } catch (\UnexpectedValueException $wrong) {
            throw new ApiProblem(422, 'not-a-clip', $wrong->getMessage());
        }
        if ($wave->rate < 8000 || $wave->rate > 48_000 || $wave->ms() > self::LONGEST || $wave->ms() < 50) {
            throw new ApiProblem(422, 'not-a-clip', \sprintf('A clip lasts up to %d s and has 8 to 48 kHz; this one lasts %.1f s and has %.1f kHz.', self::LONGEST / 1000, $wave->ms() / 1000, $wave->rate / 1000));
        }
        $sound = $wave->trimmed()->bytes();
        if (!isset($this->recorded()[$text])) {
            $this->quota()->require();
        }
        $this->connection->executeStatement(
            'INSERT INTO recorded_clip (said, digest, sound, user_id, recorded_at) VALUES (?, ?, ?, ?, ?) ON DUPLICATE KEY UPDATE digest = VALUES(digest), sound = VALUES(sound), user_id = VALUES(user_id), recorded_at = VALUES(recorded_at)',
            [$text, hash('xxh128', $text."\n".$sound), $sound, $user->id(), $this->clock->now()->format('Y-m-d H:i:s')],
        );
        $this->audit->add($user->id(), 'clip.recorded', \sprintf('recorded “%s”', $text), 'clips');
    }

    /** The voice of the gym says it again. */
    public function forget(string $text, User $user): void
    {
        if (0 === $this->connection->delete('recorded_clip', ['said' => $text])) {
            throw new ApiProblem(404, 'not-found', 'Nobody has recorded this.');
        }
        $this->audit->add($user->id(), 'clip.forgotten', \sprintf('took the recorded “%s” away', $text), 'clips');
    }
}
