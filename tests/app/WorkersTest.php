<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\App\Exchange\ReadImport;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\TransactionOutcome;
use Periplus\App\Work\Proceeds;
use Periplus\App\Work\SlowWork;
use Periplus\App\Work\Workers;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Messenger\Handler\HandlersLocator;
use Symfony\Component\Messenger\MessageBus;
use Symfony\Component\Messenger\Middleware\HandleMessageMiddleware;

/** Slow work is done by workers where there are any, and otherwise by the requests of the page. */
final class WorkersTest extends TestCase
{
    /** @var list<SlowWork> what the bus got */
    private array $asked = [];

    public function testWithoutWorkersEveryRequestDoesAPartOfIt(): void
    {
        $workers = $this->workers('sync://');
        $workers->proceed(new ReadImport(7), static fn (): bool => self::fail('Nobody else could be at it.'));
        $workers->proceed(new ReadImport(7), static fn (): bool => self::fail('Nobody else could be at it.'));

        self::assertEquals([new ReadImport(7), new ReadImport(7)], $this->asked);
        self::assertLessThan(2, $this->asked[0]->seconds, 'The page is waiting.');
    }

    public function testAWorkerIsAskedOnceAndAgainWhenNobodyIsAtIt(): void
    {
        $work = new class {
            use Proceeds;
        };
        $now = new \DateTimeImmutable('2026-12-01 12:00:00');
        $claim = static function () use ($work, &$now): bool {
            $isLeft = $work->isLeft($now);
            if ($isLeft) {
                $work->proceeded($now);
            }

            return $isLeft;
        };
        $workers = $this->workers('doctrine://directory');
        foreach (['12:00:00', '12:00:01', '12:00:09'] as $time) {
            $now = new \DateTimeImmutable('2026-12-01 '.$time);
            $workers->proceed(new ReadImport(7), $claim);
        }
        self::assertEquals([(new ReadImport(7))->toTheEnd()], $this->asked);

        $now = new \DateTimeImmutable('2026-12-01 12:00:20');
        $workers->proceed(new ReadImport(7), $claim);
        self::assertCount(2, $this->asked, 'The worker was killed.');
    }

    public function testWhatTheWorkRefusesIsSaidAsItIs(): void
    {
        $this->expectExceptionObject(new NotFound('This import no longer exists.'));

        $this->workers('sync://', new NotFound('This import no longer exists.'))
            ->proceed(new ReadImport(7), static fn (): bool => true);
    }

    private function workers(string $transport, ?\Exception $refusal = null): Workers
    {
        $handler = function (SlowWork $work) use ($refusal): void {
            $this->asked[] = $work;
            if (null !== $refusal) {
                throw $refusal;
            }
        };
        $bus = new MessageBus([new HandleMessageMiddleware(new HandlersLocator([ReadImport::class => [$handler]]))]);

        return new Workers($bus, new TransactionOutcome(), $transport);
    }
}
