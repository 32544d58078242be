<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\Yaml\Yaml;

/** Checks answers against docs/openapi.yaml: path, method, status, content type and every member. */
final class Contract
{
    private const SCHEMAS = 'https://gym.example/openapi.json';
    private const FORMATS = 'https://gym.example/formats/';

    /** @var array<string, mixed>|null */
    private static ?array $document = null;
    private static ?Validator $validator = null;
    /** @var array<string, object> what answers are held against, by itself as JSON */
    private static array $schemas = [];

    public static function check(string $method, string $path, Answer $answer): void
    {
        $where = \sprintf('%s %s %d', $method, $path, $answer->status);
        $operation = self::operation(strtolower($method), explode('?', $path)[0]);
        if (null === $operation) {
            // Undocumented methods answer with an error.
            Assert::assertContains($answer->status, [401, 404, 405], $where.' is not described.');

            return;
        }
        /** @var array<string, array{content?: array<string, mixed>, '$ref'?: string}> $responses */
        $responses = $operation['responses'];
        Assert::assertArrayHasKey((string) $answer->status, $responses, $where.' is not described: '.$answer->raw);
        $response = $responses[(string) $answer->status];
        if (isset($response['$ref'])) {
            $response = self::at($response['$ref']);
        }
        $content = $response['content'] ?? [];
        Assert::assertIsArray($content);
        if ([] === $content) {
            Assert::assertSame('', $answer->raw, $where.' has no body.');

            return;
        }
        $type = explode(';', $answer->contentType)[0];
        Assert::assertArrayHasKey($type, $content, $where.' is of another type.');
        Assert::assertIsArray($content[$type]);
        if (1 !== preg_match('#[/+]json$#', $type)) {
            Assert::assertNotSame('', $answer->raw, $where.' is empty.');

            return;
        }
        self::validate($content[$type]['schema'] ?? [], $answer->raw, $where);
    }

    /** @return list<array{string, string}> method and path of everything described */
    public static function routes(): array
    {
        $routes = [];
        /** @var array<string, array<string, mixed>> $paths */
        $paths = self::document()['paths'];
        foreach ($paths as $path => $item) {
            foreach (array_intersect(array_keys($item), ['get', 'post', 'put', 'delete', 'patch']) as $method) {
                $routes[] = [strtoupper($method), $path];
            }
        }

        return $routes;
    }

    private static function validate(mixed $schema, string $json, string $where): void
    {
        $answer = json_decode($json, false, flags: \JSON_THROW_ON_ERROR);
        $error = self::validator()->validate($answer, self::schema($schema))->error();
        Assert::assertNull(
            $error,
            null === $error ? '' : $where.': '.print_r((new ErrorFormatter())->format($error), true),
        );
    }

    /** Shared by all answers, because it caches the schemas it has read. */
    private static function validator(): Validator
    {
        if (null === self::$validator) {
            $schemas = Helper::toJSON(['components' => ['schemas' => self::at('#/components/schemas')]]);
            Assert::assertIsObject($schemas);
            self::$validator = new Validator();
            self::$validator->resolver()?->registerRaw($schemas, self::SCHEMAS);
            self::$validator->resolver()?->registerPrefix(self::FORMATS, __DIR__.'/../../docs/formats');
        }

        return self::$validator;
    }

    /** Returns the same object for the same schema, so that the validator caches it. */
    private static function schema(mixed $schema): object
    {
        $json = json_encode((object) $schema, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES);
        if (!isset(self::$schemas[$json])) {
            $referring = str_replace('"#/components/', '"'.self::SCHEMAS.'#/components/', $json);
            $read = json_decode($referring, flags: \JSON_THROW_ON_ERROR);
            Assert::assertIsObject($read);
            self::$schemas[$json] = $read;
        }

        return self::$schemas[$json];
    }

    /** @return array<string, mixed>|null */
    private static function operation(string $method, string $path): ?array
    {
        /** @var array<string, array<string, array<string, mixed>>> $paths */
        $paths = self::document()['paths'];
        foreach ($paths as $template => $item) {
            $pattern = '#^'.preg_replace('/\\\\\{\w+\\\\\}/', '[\w.-]+', preg_quote($template, '#')).'$#';
            if (1 === preg_match($pattern, $path) && isset($item[$method])) {
                return $item[$method];
            }
        }

        return null;
    }

    /** @return array<mixed> */
    private static function at(string $reference): array
    {
        $value = self::document();
        foreach (explode('/', substr($reference, 2)) as $step) {
            Assert::assertIsArray($value);
            $value = $value[$step] ?? null;
        }
        Assert::assertIsArray($value);

        return $value;
    }

    /** @return array<string, mixed> */
    private static function document(): array
    {
        /** @var array<string, mixed> $document */
        $document = self::$document ?? Yaml::parseFile(__DIR__.'/../../docs/openapi.yaml');

        return self::$document = $document;
    }
}
