<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\PDO\Exception as DriverFailure;
use Doctrine\DBAL\Driver\PDO\MySQL\Driver;
use Doctrine\DBAL\Exception\ConnectionLost;
use Doctrine\DBAL\Exception\DeadlockException;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\LockWaitTimeoutException;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Http\RetriedRequests;
use Periplus\App\Store\TransactionOutcome;
use Periplus\App\Store\WatchesTransactions;
use PHPUnit\Framework\Attributes\TestWith;
use Psr\Log\NullLogger;
use Symfony\Component\EventDispatcher\EventDispatcher;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Controller\ControllerResolverInterface;
use Symfony\Component\HttpKernel\DependencyInjection\ServicesResetterInterface;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\HttpKernel;
use Symfony\Component\HttpKernel\KernelEvents;

/** A request whose transaction the database refused is handled again as a whole, and never twice for good. */
final class RetriedRequestsTest extends ApiTestCase
{
    private const DEADLOCK = 1213;
    private const NODE_LEFT_CLUSTER = 1047;
    private const GONE = 2006;

    private TransactionOutcome $outcome;
    /** @var list<Request> the requests that were handled */
    private array $handled = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->outcome = new TransactionOutcome();
    }

    public function testARefusedCommitIsTriedAgainWithAnUnusedRequest(): void
    {
        $answer = $this->handle(2, self::DEADLOCK);

        self::assertSame(200, $answer->getStatusCode());
        self::assertSame([1, 2, 3], array_map(
            static fn (Request $request): mixed => $request->attributes->get('seen'),
            $this->handled,
        ));
        self::assertSame(['{"a":1}'], array_values(array_unique(array_map(
            static fn (Request $request): string => $request->getContent(),
            $this->handled,
        ))));
    }

    public function testItEndsWhenEveryTryIsRefused(): void
    {
        self::assertSame(503, $this->handle(100, self::DEADLOCK)->getStatusCode());
        self::assertCount(6, $this->handled);
    }

    public function testNothingIsRepeatedOnceSomethingIsStored(): void
    {
        self::assertSame(503, $this->handle(1, self::DEADLOCK, fn () => $this->outcome->written())->getStatusCode());
        self::assertCount(1, $this->handled);
    }

    public function testNothingIsRepeatedWhenTheCommitMayHaveBeenStored(): void
    {
        $lost = fn () => $this->outcome->unknown();

        self::assertSame(503, $this->handle(1, self::GONE, $lost, failoverSeconds: 5)->getStatusCode());
        self::assertCount(1, $this->handled);
    }

    #[TestWith([self::NODE_LEFT_CLUSTER])]
    #[TestWith([self::GONE])]
    public function testAnotherNodeIsWaitedForWhereThereIsOne(int $code): void
    {
        self::assertSame(503, $this->handle(1, $code)->getStatusCode());
        self::assertSame(200, $this->handle(1, $code, failoverSeconds: 5)->getStatusCode());
    }

    public function testALockThatWasWaitedForInVainIsNotWaitedForAgain(): void
    {
        self::assertSame(503, $this->handle(1, 1205)->getStatusCode());
        self::assertCount(1, $this->handled);
    }

    public function testATransactionIsNotedWhenItIsStored(): void
    {
        $connection = $this->watched();
        $connection->fetchOne('SELECT 1');
        $connection->beginTransaction();
        $connection->executeStatement('CREATE TEMPORARY TABLE of_this_test (id INT)');
        $connection->rollBack();
        self::assertFalse($this->outcome->isWritten());

        $connection->transactional(static fn (Connection $one) => $one->executeStatement('DELETE FROM of_this_test'));
        self::assertTrue($this->outcome->isWritten());

        $this->outcome->reset();
        $connection->executeStatement('INSERT INTO of_this_test VALUES (1)');
        self::assertTrue($this->outcome->isWritten(), 'One statement is a transaction, too.');
        self::assertFalse($this->outcome->isUnknown());
    }

    public function testACommitIsUnknownWhenItsConnectionBreaks(): void
    {
        $connection = $this->watched();
        $connection->beginTransaction();
        $connection->executeStatement('CREATE TEMPORARY TABLE of_this_test (id INT)');
        $id = $connection->fetchOne('SELECT CONNECTION_ID()');
        self::assertIsNumeric($id);
        self::service(Connection::class)->executeStatement('KILL '.(int) $id);
        try {
            $connection->commit();
            self::fail('The connection is gone.');
        } catch (ConnectionLost) {
            self::assertTrue($this->outcome->isUnknown());
        }
    }

    /** A second connection to the database of the tests, as requests have it. */
    private function watched(): Connection
    {
        $params = self::service(Connection::class)->getParams();
        $driver = (new WatchesTransactions($this->outcome))->wrap(new Driver());
        unset($params['driverOptions']);

        return new Connection($params, $driver);
    }

    /**
     * Handles a request whose first tries fail with an error of the database.
     *
     * @param (\Closure(): mixed)|null $before what happens in a try before it fails
     */
    private function handle(
        int $failures,
        int $code,
        ?\Closure $before = null,
        float $failoverSeconds = 0,
    ): Response {
        $this->handled = [];
        $controller = function (Request $request) use ($failures, $code, $before): Response {
            $this->handled[] = $request;
            $request->attributes->set('seen', \count($this->handled) + $request->attributes->getInt('seen'));
            if (\count($this->handled) <= $failures) {
                if (null !== $before) {
                    $before();
                }
                throw self::failure($code);
            }

            return new Response();
        };
        $resolver = self::createStub(ControllerResolverInterface::class);
        $resolver->method('getController')->willReturn($controller);
        $dispatcher = new EventDispatcher();
        $retried = new RetriedRequests(
            new HttpKernel($dispatcher, $resolver),
            $this->outcome,
            self::createStub(ServicesResetterInterface::class),
            self::service(EntityManagerInterface::class),
            new NullLogger(),
            $failoverSeconds,
        );
        $dispatcher->addListener(KernelEvents::EXCEPTION, $retried->note(...), 300);
        $dispatcher->addListener(
            KernelEvents::EXCEPTION,
            static fn (ExceptionEvent $event) => $event->setResponse(new Response(status: 503)),
        );

        return $retried->handle(Request::create('/', 'POST', content: '{"a":1}'));
    }

    private static function failure(int $code): DriverException
    {
        $failure = new \PDOException("SQLSTATE[HY000]: General error: $code");
        $failure->errorInfo = ['HY000', $code, ''];
        $driver = DriverFailure::new($failure);

        return match ($code) {
            self::DEADLOCK => new DeadlockException($driver, null),
            1205 => new LockWaitTimeoutException($driver, null),
            default => new DriverException($driver, null),
        };
    }
}
