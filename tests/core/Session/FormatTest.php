<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use Periplus\Core\Session\Plan\CompletePlan;
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

    public function testWhatAPlanLeavesOpenIsWrittenOutWithTheDefaultsOfTheSchema(): void
    {
        $plan = ['blocks' => [['rounds' => [['sets' => [[], ['combinations' => ['1 2']]]]]]]];
        $written = json_decode(json_encode(new CompletePlan($plan), \JSON_THROW_ON_ERROR));
        $schema = json_decode((string) file_get_contents(self::ROOT.'docs/formats/session.schema.json'));
        $round = 'blocks.0.rounds.0';
        $parts = [
            'properties' => '',
            '$defs.block.properties' => 'blocks.0',
            '$defs.round.properties' => $round,
            '$defs.set.properties' => $round.'.sets.0',
            '$defs.combination.properties' => $round.'.sets.1.combinations.0',
        ];
        $seen = 0;
        foreach ($parts as $part => $place) {
            $is = self::at($written, $place);
            foreach (self::at($schema, $part) as $field => $property) {
                if (\is_object($property) && property_exists($property, 'default')) {
                    self::assertEquals($property->default, $is[$field], $place.' '.$field);
                    ++$seen;
                }
            }
        }
        self::assertGreaterThan(20, $seen);
    }

    /** @return array<array-key, mixed> what stands at that place of a decoded JSON text */
    private static function at(mixed $json, string $place): array
    {
        foreach ('' === $place ? [] : explode('.', $place) as $step) {
            $json = ((array) $json)[$step] ?? null;
        }

        return (array) $json;
    }

    #[DataProvider('plans')]
    public function testAPlanThatIsWrittenOutIsTheSamePlan(mixed $plan): void
    {
        self::assertIsArray($plan);
        $complete = json_encode(new CompletePlan($plan), \JSON_THROW_ON_ERROR);
        self::assertTrue(self::isValid(json_decode($complete)));
        self::assertEquals(
            (new PlanReader())->read($plan),
            (new PlanReader())->read(json_decode($complete, true)),
        );
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
