<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Serializer\SessionSerializer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * docs/formats/session.md and its schema are checked against the plans of the demo gym, its example, and the console.
 */
final class FormatTest extends TestCase
{
    private const ROOT = __DIR__.'/../../../';

    /** @return iterable<string, array{mixed}> */
    public static function plans(): iterable
    {
        /** @var list<array{name?: string, content?: mixed}> $sessions */
        $sessions = json_decode(
            (string) file_get_contents(self::ROOT.'demo/sessions.json'),
            true,
            flags: \JSON_THROW_ON_ERROR,
        );
        foreach ($sessions as $session) {
            if (isset($session['content'])) {
                yield $session['name'] ?? '' => [$session['content']];
            }
        }
        preg_match('/```json\n(.*?)```/s', (string) file_get_contents(self::ROOT.'docs/formats/session.md'), $found);
        yield 'the example of the documentation' => [json_decode($found[1] ?? '', true, flags: \JSON_THROW_ON_ERROR)];
    }

    #[DataProvider('plans')]
    public function testThePlanMatchesTheSchemaAndHasNoProblem(mixed $plan): void
    {
        self::assertTrue(self::isValid($plan));
        self::assertSame([], (new PlanReader())->read($plan)->problems);
    }

    #[DataProvider('plans')]
    public function testWhatFollowsHasEveryKeyThatTheDocumentationNames(mixed $plan): void
    {
        $document = (new SessionSerializer(new PlanReader()))->serialize($plan);
        $text = (string) file_get_contents(self::ROOT.'docs/formats/session.md');
        foreach (['lengthMs', 'cues', 'tracks', 'load', 'warnings', 'problems', 'segments', 'shared'] as $key) {
            self::assertObjectHasProperty($key, $document);
        }
        foreach (array_keys(get_object_vars($document->cues[0])) as $key) {
            self::assertStringContainsString("`$key`", $text);
        }
        foreach ($document->cues as $cue) {
            self::assertStringContainsString('`'.$cue->kind->value.'`', $text);
        }
    }

    /** @param array<string, mixed> $plan */
    #[DataProvider('broken')]
    public function testTheSchemaRefusesWhatTheReaderRefuses(array $plan): void
    {
        self::assertFalse(self::isValid($plan));
        self::assertNotSame([], (new PlanReader())->read($plan)->problems);
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function broken(): iterable
    {
        yield 'a level' => [['level' => 4, 'blocks' => []]];
        yield 'a chain that is no text' => [Plans::set('repeat', [['chain' => 5]])];
        yield 'too many times' => [Plans::of([['seconds' => 60, 'times' => 10_000, 'sets' => []]])];
        yield 'a pattern of words' => [
            Plans::of(
                [['seconds' => 60, 'sets' => [], 'tracks' => [['track' => 0, 'pattern' => ['on']]]]],
                ['tracks' => [['name' => 'A', 'level' => 1]]],
            ),
        ];
    }

    private static function isValid(mixed $plan): bool
    {
        return (new Validator())
            ->validate(
                Helper::toJSON($plan),
                (string) file_get_contents(self::ROOT.'docs/formats/session.schema.json'),
            )
            ->isValid();
    }
}
