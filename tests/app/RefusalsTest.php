<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\PDO\Exception as DriverFailure;
use Doctrine\DBAL\Exception\DriverException;
use Periplus\App\Http\ProblemListener;
use Periplus\App\Store\TransactionOutcome;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** Whatever is sent, the answer is a sentence. */
final class RefusalsTest extends ApiTestCase
{
    #[TestWith(['/api/generate', '{"weapons":[null]}'])]
    #[TestWith(['/api/generate', '{"weapons":[["hand"]]}'])]
    #[TestWith(['/api/generate', '{"weapons":{"a":"hand","b":7}}'])]
    #[TestWith([
        '/api/house-rules/boxing/rule-previews',
        '{"schools":{"leadHook":"back","handSide":"either","handTiming":"apart","ending":"none","hardStrikes":"last"},"severities":["a"],"thresholds":{"staticHead":4,"oneHeight":4,"sameSide":3,"drives":2,"rangeJump":2,"tempoLoss":0.2}}',
    ]),]
    #[TestWith(['/api/house-rules/boxing/rule-previews', '{"severities":{"no-exit":["hint"]}}'])]
    #[TestWith(['/api/combinations', '{"name":"A","text":"1 2","themes":[null]}'])]
    #[TestWith(['/api/combinations', '{"name":"A","text":"1 2","themes":[{"a":1}]}'])]
    #[TestWith(['/api/numberings/preview', '{"name":"A","numbers":[null]}'])]
    #[TestWith(['/api/numberings/preview', '{"name":"A","numbers":["1"]}'])]
    #[TestWith([
        '/api/numberings/preview',
        '{"name":"A","numbers":[{"number":["1"],"family":"straight","position":"lead"}]}',
    ]),]
    #[TestWith(['/api/proposals', '{"kind":"new","content":[]}'])]
    #[TestWith(['/api/proposals', '{"kind":"new","content":{"name":"A","text":"1 2","themes":[[]]}}'])]
    #[TestWith(['/api/check', '{"text":["1"]}'])]
    public function testTypesInsideListsAreChecked(string $path, string $body): void
    {
        $this->signIn('head');
        $answer = $this->ask('POST', $path, $body);

        self::assertSame(422, $answer->status, $answer->raw);
        self::assertNotSame('', $answer->title());
    }

    /** The file is not read beyond the limit: reading all of it would exhaust the memory. */
    #[TestWith(['json', 'many'])]
    #[TestWith(['json', 'wide'])]
    #[TestWith(['json', 'other'])]
    #[TestWith(['csv', 'columns'])]
    #[TestWith(['csv', 'many'])]
    #[TestWith(['text', 'many'])]
    public function testAFileBeyondEveryBoundIsRefusedWhileItIsRead(string $format, string $kind): void
    {
        $library = static fn (string $inside): string => '{"format":"periplus-library","version":1,"combinations":['
            .$inside
            .']}';
        $content = match ("$format $kind") {
            'json many' => $library(substr(str_repeat('{},', 1_000_000), 0, -1)),
            'json wide' => $library(
                '{"name":"a","chain":"1","themes":['.substr(str_repeat('{"a":1},', 400_000), 0, -1).']}',
            ),
            'json other' => '{"x":['.substr(str_repeat('[],', 1_000_000), 0, -1).']}',
            'csv columns' => 'chain,'
                .substr(str_repeat('a,', 50_000), 0, -1)
                ."\n"
                .str_repeat('1,'.str_repeat(',', 400)."\n", 2000),
            'csv many' => "chain\n".str_repeat("1 2\n", 600_000),
            default => str_repeat("1\n", 1_000_000),
        };
        $this->signIn('head');
        $before = memory_get_usage();
        $answer = $this->ask('POST', '/api/imports', ['format' => $format, 'content' => $content]);

        self::assertSame([422, 'broken-file'], [$answer->status, $answer->type()], $answer->title());
        self::assertLessThan(256 * 1_048_576, memory_get_peak_usage() - $before + 2 * \strlen($content), 'bytes');
    }

    #[TestWith([1290, 'The MariaDB server is running with the --read-only option', 'upgrade-under-way'])]
    #[TestWith([1114, "The table 'combination' is full", 'disk-full'])]
    #[TestWith([1021, 'Disk full (/tmp); waiting for someone to free some space', 'disk-full'])]
    #[TestWith([1030, 'Got error 28 "No space left on device" from storage engine InnoDB', 'disk-full'])]
    #[TestWith([2006, 'MySQL server has gone away', 'database-away'])]
    public function testDatabaseFailuresAreAnsweredWithASentence(int $code, string $message, string $type): void
    {
        $failure = new \PDOException("SQLSTATE[HY000]: General error: $code $message");
        $failure->errorInfo = ['HY000', $code, $message];
        // Nothing was written in this request.
        self::service(TransactionOutcome::class)->reset();
        foreach ([$failure, new DriverException(DriverFailure::new($failure), null)] as $error) {
            $event = new ExceptionEvent(
                self::service(HttpKernelInterface::class),
                Request::create('/api/combinations'),
                HttpKernelInterface::MAIN_REQUEST,
                $error,
            );
            self::service(ProblemListener::class)($event);
            $answer = Answer::of($event->getResponse() ?? self::fail('There is no answer.'));
            self::assertSame([503, $type, '3'], [$answer->status, $answer->type(), $answer->retryAfter]);
        }
    }

    public function testAnswersAreNotStoredByBrowsers(): void
    {
        $this->signIn('head');
        foreach (['/api/session', '/api/combinations', '/api/nowhere'] as $path) {
            $this->ask('GET', $path);
            self::assertSame('no-store, private', $this->header('Cache-Control'), $path);
        }
    }

    public function testRequestMethodCannotBeOverridden(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination())->id();
        self::assertSame(
            405,
            $this->ask('POST', "/api/combinations/$id", self::combination(), [
                'X-HTTP-Method-Override' => 'PUT',
                'If-Match' => '"1"',
            ])->status,
        );
        self::assertSame(
            1,
            self::service(Connection::class)->fetchOne('SELECT version FROM combination WHERE id = ?', [$id]),
        );
    }

    /** @param array<string, string> $headers */
    #[TestWith([['Origin' => 'http://elsewhere.example']])]
    #[TestWith([['Origin' => 'null']])]
    public function testAWriteFromAPageOfElsewhereIsRefused(array $headers): void
    {
        $this->signIn('head');
        self::assertSame(
            'token-missing',
            $this->ask('POST', '/api/combinations', self::combination(), $headers)->type(),
        );
        self::assertSame(
            201,
            $this->ask('POST', '/api/combinations', self::combination(), ['Origin' => 'http://localhost'])->status,
        );
    }
}
