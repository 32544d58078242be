<?php

declare(strict_types=1);

namespace Periplus\Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The console as a script uses it: another process, no database, no web server. */
final class ConsoleTest extends TestCase
{
    public function testChecksOneChain(): void
    {
        [$code, $out] = self::console(['check', '--json', '--rules=boxing', '1-2-3b', 'slip', 'left', '2']);
        $document = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);

        self::assertSame(
            [0, '1 2 3b slip-lead 2', 'reload', 'reload', 1564],
            [$code, $document['notation'], $document['verdict'], $document['linkVerdict'], $document['lengthMs']],
        );
        self::assertIsArray($document['links']);
        self::assertIsArray($document['links'][3]);
        self::assertSame(
            ['from' => 3, 'to' => 4, 'waitMs' => 161, 'verdict' => 'reload', 'cause' => 'turn'],
            \array_slice($document['links'][3], 0, 5),
        );
    }

    public function testChecksManyLinesEachWithItsOptions(): void
    {
        [$code, $out] = self::console(
            ['check', '--lines', '--rules=kickboxing'],
            "1 14l\n1 31\t--rules=all-limbs\n1 2\t--stance=southpaw --numbering=hands --tempo=1.6\n",
        );
        $documents = array_map(
            static fn (string $line): mixed => json_decode($line, true, flags: \JSON_THROW_ON_ERROR),
            explode("\n", trim($out)),
        );

        self::assertSame(0, $code);
        self::assertSame(['1 14l', '1 31', '2 1'], array_column($documents, 'notation'));
        self::assertSame(['flows', 'reload', 'flows'], array_column($documents, 'linkVerdict'));
    }

    public function testALineThatCannotBeReadDoesNotStopTheOthers(): void
    {
        [$code, $out] = self::console(
            ['check', '--lines'],
            "1 2\nwhat\n\n1 2\t--rules=judo\n1 2\t--nonsense\n".str_repeat('1 ', 5000)."\n\xff\xfe\n2 2",
        );
        $documents = array_map(
            static fn (string $line): mixed => json_decode($line, true, flags: \JSON_THROW_ON_ERROR),
            explode("\n", trim($out)),
        );

        self::assertSame(2, $code);
        self::assertSame(['flows', null, null, null, null, null, null, 'reload'], array_column($documents, 'verdict'));
        foreach (\array_slice($documents, 1, 6) as $document) {
            self::assertIsArray($document);
            self::assertNotSame([], $document['problems']);
        }
    }

    #[TestWith(['1 2', 0, 'flows, 0.49 s'])]
    #[TestWith(['2 2', 0, '2 -> 2  reload +210 ms  The hips are still through'])]
    #[TestWith(['1 crss', 2, 'At 3: "crss" is not a strike or a move.'])]
    #[TestWith(['x999999', 2, 'There is no number x999999 in Parity numbering.'])]
    public function testPrintsTextAndAnExitCode(string $chain, int $expected, string $says): void
    {
        [$code, $out] = self::console(['check', $chain]);

        self::assertSame($expected, $code);
        self::assertStringContainsString($says, $out);
    }

    public function testASessionIsWorkedOutFromAFileAndFromStandardInput(): void
    {
        $plan = json_encode(
            [
                'name' => 'Short',
                'blocks' => [
                    [
                        'rounds' => [
                            [
                                'seconds' => 60,
                                'rest' => 15,
                                'times' => 10,
                                'sets' => [['combinations' => ['jab cross']]],
                            ],
                        ],
                    ],
                ],
            ],
            \JSON_THROW_ON_ERROR,
        );
        [$code, $out] = self::console(['session', '-', '--json'], $plan);
        $document = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);

        self::assertSame([0, 735_000, []], [$code, $document['lengthMs'], $document['problems']]);
        [$code, $out] = self::console(['session', '-'], $plan);
        self::assertSame(0, $code);
        self::assertStringContainsString('Short, 12 min 15 s', $out);
    }

    #[TestWith(['{"blocks":', 'This is not JSON'])]
    #[TestWith(['[1]', 'A plan is a JSON object'])]
    #[TestWith([
        '{"blocks":[{"rounds":[{"seconds":60,"sets":[{"combinations":["1 99"]}]}]}]}',
        'There is no number 99',
    ]),]
    public function testABadPlanGetsASentenceAndAnExitCode(string $plan, string $sentence): void
    {
        [$code, $out] = self::console(['session', '-', '--json'], $plan);
        $document = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);
        self::assertIsArray($document['problems']);

        self::assertSame(2, $code);
        self::assertStringContainsString($sentence, json_encode($document['problems'], \JSON_THROW_ON_ERROR));
    }

    public function testAMissingFileIsReported(): void
    {
        [$code, $out] = self::console(['session', '/nowhere/plan.json']);

        self::assertSame(2, $code);
        self::assertStringContainsString('There is no file "/nowhere/plan.json"', $out);
    }

    public function testChainsAreOrderedLineByLine(): void
    {
        [$code, $out] = self::console(['sequence', '--json'], "1 2 3 2\n1 2\n1 2 3\n");
        $document = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);

        self::assertSame([0, [1, 2, 0], true], [$code, $document['order'], $document['proven']]);
        [$code, $out] = self::console(['sequence', '--json'], "1 2\nwhat\n");
        self::assertSame(2, $code);
        self::assertStringContainsString('Line 1', $out);
    }

    public function testTheAnswerToAChainNamesDefencesAndCounters(): void
    {
        [$code, $out] = self::console(['answer', '--json', '--rules=boxing', '1', '2', '3']);
        $document = json_decode($out, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);
        self::assertIsArray($document['answers']);
        self::assertIsArray($document['answers'][0]);
        self::assertSame(
            [0, '3', 'orthodox'],
            [$code, $document['answers'][0]['text'], $document['answers'][0]['opponent']],
        );
        self::assertIsArray($document['answers'][0]['defences']);
        self::assertIsArray($document['answers'][0]['defences'][0]);
        self::assertSame('roll-rear', $document['answers'][0]['defences'][0]['text']);
        self::assertIsArray($document['answers'][0]['defences'][0]['counters']);
        self::assertIsArray($document['answers'][0]['defences'][0]['counters'][0]);
        self::assertSame(
            ['2', 0],
            \array_slice(
                array_values(
                    array_intersect_key($document['answers'][0]['defences'][0]['counters'][0], [
                        'text' => 1,
                        'waitMs' => 1,
                    ]),
                ),
                0,
                2,
            ),
        );
        [$code, $out] = self::console(['answer', 'slip', 'left']);
        self::assertSame(2, $code);
        self::assertStringContainsString('Nothing of this chain lands', $out);
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{int, string}
     */
    private static function console(array $arguments, string $input = ''): array
    {
        $process = proc_open(
            [\PHP_BINARY, __DIR__.'/../../app/Console/main.php', ...$arguments],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            null,
            ['PATH' => (string) getenv('PATH')],
        );
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        self::assertSame('', stream_get_contents($pipes[2]));

        return [proc_close($process), $out];
    }
}
