<?php

declare(strict_types=1);

namespace Periplus\App\Words;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Http\FallbackCache;
use Periplus\App\Store\Versions;
use Periplus\Core\Notation\Glue;
use Periplus\Core\Notation\GlueSource;
use Psr\Clock\ClockInterface;
use Symfony\Contracts\Service\ResetInterface;

use function Periplus\Core\Language\t;

/**
 * Finds the words that are passed over in this gym.
 *
 * @extends ServiceEntityRepository<PassedOverWords>
 */
final class GymWords extends ServiceEntityRepository implements GlueSource, ResetInterface
{
    /** The kind of change in the audit log. */
    public const CHANGED = 'words.changed';
    private const CACHE_KEY = 'passed-over-words';
    /** How long a copy is used, in s. */
    private const FRESH_SECONDS = 2;
    /** How many words an entry of the audit log names. */
    private const NAMED = 8;

    /** What was read during this request. */
    private ?Glue $read = null;

    public function __construct(
        ManagerRegistry $registry,
        private readonly FallbackCache $fallback,
        private readonly Versions $versions,
        private readonly Accounts $accounts,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, PassedOverWords::class);
    }

    /** Returns what is passed over; while the database is away and nothing was read before, what ships. */
    public function glue(): Glue
    {
        if (null === $this->read) {
            try {
                $glue = $this->fallback->read(
                    self::CACHE_KEY,
                    self::FRESH_SECONDS,
                    fn (): Glue => $this->row()->glue(),
                );
                $this->read = $glue instanceof Glue ? $glue : new Glue();
            } catch (ConnectionException) {
                $this->read = new Glue();
            }
        }

        return $this->read;
    }

    public function reset(): void
    {
        $this->read = null;
    }

    public function row(): PassedOverWords
    {
        return $this->find(PassedOverWords::ID) ?? throw new \LogicException('A migration makes this row.');
    }

    public function store(int $basedOn, Glue $glue, User $editor): void
    {
        $this->versions->change(
            PassedOverWords::class,
            PassedOverWords::ID,
            $basedOn,
            t('There is no such list.'),
            function (PassedOverWords $words) use ($glue, $editor): void {
                $before = $words->glue();
                $words->change($glue, $this->accounts->managed($editor), $this->clock->now());
                $this->audit->add(
                    $editor->id(),
                    self::CHANGED,
                    self::says($before, $glue),
                    'words',
                    ['own' => $before->own, 'kept' => $before->kept],
                );
            },
        );
        $this->fallback->forget(self::CACHE_KEY);
        $this->read = null;
    }

    private static function says(Glue $before, Glue $after): string
    {
        $passed = [...array_diff($after->own, $before->own), ...array_diff($before->kept, $after->kept)];
        $read = [...array_diff($before->own, $after->own), ...array_diff($after->kept, $before->kept)];

        return match (true) {
            [] === $read => t('passes over: {words}', words: self::named($passed)),
            [] === $passed => t('no longer passes over: {words}', words: self::named($read)),
            default => t(
                'passes over: {words}; no longer: {read}',
                words: self::named($passed),
                read: self::named($read),
            ),
        };
    }

    /** @param list<string> $words */
    private static function named(array $words): string
    {
        $more = \count($words) - self::NAMED;
        $named = implode(', ', \array_slice($words, 0, self::NAMED));

        return match (true) {
            [] === $words => t('nothing new'),
            $more > 0 => t('{words} and {more} more', words: $named, more: $more),
            default => $named,
        };
    }
}
