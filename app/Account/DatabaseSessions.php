<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Tools\DsnParser;
use Periplus\App\Http\FallbackCache;
use Periplus\App\Store\CurrentGym;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\AbstractSessionHandler;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\PdoSessionHandler;

/**
 * Stores login sessions in the database under a digest of their id, so that reading the table does not give access.
 * Sessions are not locked during a request: they are written at sign-in and rarely afterwards. Each is cached in memory
 * for a short while, so that coaches can keep checking chains while the database is down.
 */
final class DatabaseSessions extends PdoSessionHandler
{
    private const CACHE_PREFIX = 'session.';
    /** How long the cached copy is valid, in s. */
    private const CACHE_SECONDS = 600;

    /** @var array<string, true> digests of sessions that were there when they were read */
    private array $known = [];

    private ?\PDOException $away = null;
    private bool $isConnected = false;
    /** @var array<string, mixed> of a connection of Doctrine */
    private readonly array $params;

    public function __construct(
        #[Autowire('%env(DATABASE_URL)%')] #[\SensitiveParameter] string $url,
        private readonly FallbackCache $fallback,
        private readonly CurrentGym $gym,
    ) {
        $this->params = (new DsnParser(['mysql' => 'pdo_mysql']))->parse($url);
        parent::__construct(null, [
            'db_table' => 'session',
            'lock_mode' => self::LOCK_NONE,
            'db_username' => $this->params['user'] ?? '',
            'db_password' => $this->params['password'] ?? '',
            'db_connection_options' => [\PDO::ATTR_PERSISTENT => !$gym->isOneOfSeveral()],
        ]);
    }

    public function open(string $savePath, string $sessionName): bool
    {
        $this->away = null;
        try {
            $this->connect();

            return parent::open($savePath, $sessionName);
        } catch (\PDOException $away) {
            $this->away = $away;

            // Skips the connection that the parent would open.
            return AbstractSessionHandler::open($savePath, $sessionName);
        }
    }

    /** The directory of several gyms has no login sessions. */
    public function configureSchema(Schema $schema, ?\Closure $isSameDatabase = null): Schema
    {
        return $this->gym->isOneOfSeveral() ? $schema : parent::configureSchema($schema, $isSameDatabase);
    }

    public function close(): bool
    {
        $this->isConnected = false;

        return parent::close();
    }

    public function gc(int $maxlifetime): int|false
    {
        return null === $this->away ? parent::gc($maxlifetime) : 0;
    }

    protected function getConnection(): \PDO
    {
        $this->connect();

        return parent::getConnection();
    }

    protected function doRead(#[\SensitiveParameter] string $sessionId): string
    {
        $id = self::digest($sessionId);
        try {
            $data = null === $this->away ? parent::doRead($id) : throw $this->away;
        } catch (\PDOException $away) {
            $copy = $this->fallback->copy(self::CACHE_PREFIX.$id);

            return \is_string($copy) ? $copy : throw $away;
        }
        if ('' !== $data) {
            $this->known[$id] = true;
            $this->copy($id, $data);
        }

        return $data;
    }

    protected function doWrite(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        $id = self::digest($sessionId);
        if (isset($this->known[$id])) {
            try {
                // A session that was ended meanwhile stays ended.
                $this->getConnection()
                    ->prepare('UPDATE session SET sess_data = ?, sess_lifetime = ?, sess_time = ? WHERE sess_id = ?')
                    ->execute([$data, time() + (int) \ini_get('session.gc_maxlifetime'), time(), $id]);
            } catch (\PDOException) {
                // The database is down: the cached session is still valid.
                return true;
            }
        } else {
            null === $this->away ? parent::doWrite($id, $data) : throw $this->away;
        }
        $this->copy($id, $data);

        return true;
    }

    /** The time of last use is written once a minute, which is precise enough for its expiry. */
    public function updateTimestamp(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        return true;
    }

    protected function doDestroy(#[\SensitiveParameter] string $sessionId): bool
    {
        $id = self::digest($sessionId);
        unset($this->known[$id]);
        $this->fallback->forget(self::CACHE_PREFIX.$id);

        return null === $this->away ? parent::doDestroy($id) : throw $this->away;
    }

    /** Connects to the database of the gym that is meant, which is known only once somebody asks. */
    private function connect(): void
    {
        if ($this->isConnected) {
            return;
        }
        $params = [...$this->params, ...$this->gym->place()?->parameters() ?? []];
        $names = ['host', 'port', 'dbname', 'unix_socket'];
        $parts = array_intersect_key($params, array_fill_keys($names, true));
        $parts['charset'] = 'utf8mb4';
        $dsn = array_map(
            static fn (string $name, mixed $value): string => $name.'='.(\is_scalar($value) ? $value : ''),
            array_keys($parts),
            $parts,
        );
        parent::open('mysql:'.implode(';', $dsn), '');
        $this->isConnected = true;
    }

    private function copy(string $id, string $data): void
    {
        $this->fallback->keep(self::CACHE_PREFIX.$id, $data, self::CACHE_SECONDS);
    }

    private static function digest(string $sessionId): string
    {
        return hash('sha256', $sessionId);
    }
}
