<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\Gyms;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\Core\Measure\Wave;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * The clips of calls: synthesised, or recorded by a coach.
 *
 * @extends ServiceEntityRepository<RecordedClip>
 */
final class Clips extends ServiceEntityRepository implements HasQuota
{
    private const MAX_CLIPS = 1000;
    /** Maximum number prepared for one session; others are synthesised on first use. */
    private const MAX_PREPARED = 500;
    /** Maximum length of a recording, in ms. */
    /** The kind of change in the audit log when the voice is changed. */
    public const VOICE_CHANGED = 'gym.voice';
    public const MAX_LENGTH_MS = 6000;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Gyms $gyms,
        private readonly Accounts $accounts,
        private readonly Speaker $speaker,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, RecordedClip::class);
    }

    public function settings(): VoiceSettings
    {
        /**
         * @var array{
         *     voice: string,
         *     pace: string,
         *     loudness: string,
         *     says?: string,
         *     timeCalls?: list<string>,
         *     perSet?: bool,
         * }|null $voice
         */
        $voice = $this->gyms->get()->voice();

        return null === $voice ? new VoiceSettings() : new VoiceSettings(...$voice);
    }

    public function use(VoiceSettings $settings, User $user): void
    {
        $before = $this->settings();
        $this->gyms->useVoice((array) $settings);
        $this->audit->add(
            $user->id(),
            self::VOICE_CHANGED,
            t(
                'set the voice of calls to {voice}, {pace}, {loudness}; it says {says}{times}',
                says: 'both' === $settings->says ? t('numbers and names') : $settings->says,
                times: [] === $settings->timeCalls
                    ? ''
                    : t(' and calls {calls}', calls: implode(', ', $settings->timeCalls)),
                voice: $settings->voice,
                pace: $settings->pace,
                loudness: $settings->loudness,
            ),
            'voice',
            (array) $before,
        );
    }

    /**
     * Returns the digest that identifies the clip of each text.
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
     * Returns the sound of a clip.
     *
     * @param string $text for when it has to be spoken first
     */
    public function sound(string $digest, string $text): string
    {
        return $this->findOneBy(['digest' => $digest])?->sound() ?? $this->speaker->clip($text, $this->settings());
    }

    /**
     * Creates the missing clips in advance, so that none has to be made while a session runs.
     *
     * @param list<string> $texts
     */
    public function prepare(array $texts): void
    {
        if ([] === $texts) {
            return;
        }
        $settings = $this->settings();
        foreach (\array_slice(array_diff($texts, array_keys($this->recorded())), 0, self::MAX_PREPARED) as $text) {
            $this->speaker->clip($text, $settings);
        }
    }

    public function quota(): Quota
    {
        return new Quota(t('recorded clips'), $this->count(), self::MAX_CLIPS);
    }

    /** @return array<string, string> digest by text */
    public function recorded(): array
    {
        /** @var list<array{said: string, digest: string}> $rows */
        $rows = $this->createQueryBuilder('c')->select('c.said, c.digest')->orderBy('c.said')->getQuery()->getResult();

        return array_column($rows, 'digest', 'said');
    }

    public function record(string $text, string $file, User $user): void
    {
        if ('' === $text || mb_strlen($text) > 200) {
            throw new Invalid(t('Give the text of the clip, in at most 200 characters.'));
        }
        try {
            $wave = Wave::read($file);
        } catch (\DomainException $wrong) {
            throw new Invalid($wrong->getMessage(), type: 'not-a-clip');
        }
        $ms = $wave->length();
        if ($wave->rate < 8000 || $wave->rate > 48_000 || $ms > self::MAX_LENGTH_MS || $ms < 50) {
            throw new Invalid(
                t(
                    'A clip lasts up to {maxLengthMs} s and has 8 to 48 kHz; this one lasts {ms} s and has {rate} kHz.',
                    maxLengthMs: self::MAX_LENGTH_MS / 1000,
                    ms: \sprintf('%.1f', $ms / 1000),
                    rate: \sprintf('%.1f', $wave->rate / 1000),
                ),
                type: 'not-a-clip',
            );
        }
        $sound = $wave->trimmed()->write();
        $by = $this->accounts->managed($user);
        $clip = $this->find($text);
        if (null === $clip) {
            $this->quota()->require();
            $this->getEntityManager()->persist(new RecordedClip($text, $sound, $by, $this->clock->now()));
        } else {
            $clip->record($sound, $by, $this->clock->now());
        }
        $this->audit->add($user->id(), 'clip.recorded', t('recorded “{text}”', text: $text), 'clips');
    }

    /** Deletes a recording, so that the voice is used again. */
    public function forget(string $text, User $user): void
    {
        $this->getEntityManager()->remove(
            $this->find($text) ?? throw new NotFound(t('There is no recording of this.')),
        );
        $this->audit->add($user->id(), 'clip.forgotten', t('deleted the recorded “{text}”', text: $text), 'clips');
    }
}
