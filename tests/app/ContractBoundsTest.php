<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Mapping\ClassMetadata;
use Symfony\Component\Validator\Validation;
use Symfony\Component\Yaml\Yaml;

/** The bounds of requests are the same in docs/openapi.yaml and in the validators. */
final class ContractBoundsTest extends TestCase
{
    /** Request classes whose schema has another name; null where the fields are query parameters. */
    private const SCHEMAS = [
        'ExerciseRow' => 'Exercise',
        'FaultRow' => 'Fault',
        'ReminderRow' => 'Reminder',
        'LineRequest' => 'ImportLineRequest',
        'NumberRequest' => 'NumberingRequest.numbers',
        'SavedViewRequest' => 'ViewRequest',
        'TrainingRequest' => 'Training',
        'SearchRequest' => null,
    ];

    /** @param array<string, mixed> $expected */
    #[DataProvider('constrainedFields')]
    public function testTheContractHasTheBoundsOfTheValidators(string $schema, string $field, array $expected): void
    {
        $described = self::field($schema, $field);

        self::assertEquals($expected, array_intersect_key(self::flat($described), $expected), "$schema.$field");
    }

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function constrainedFields(): iterable
    {
        $validator = Validation::createValidatorBuilder()->enableAttributeMapping()->getValidator();
        foreach ((new Finder())->files()->in(__DIR__.'/../../app')->name('/(Request|Row|Settings)\.php$/') as $file) {
            $class = 'Periplus\App\\'.strtr(substr($file->getRelativePathname(), 0, -4), '/', '\\');
            $name = $file->getBasename('.php');
            $schema = \array_key_exists($name, self::SCHEMAS) ? self::SCHEMAS[$name] : $name;
            $metadata = class_exists($class) ? $validator->getMetadataFor($class) : null;
            if (null === $schema || !$metadata instanceof ClassMetadata) {
                continue;
            }
            foreach ($metadata->getConstrainedProperties() as $field) {
                $constraints = [];
                foreach ($metadata->getPropertyMetadata($field) as $property) {
                    array_push($constraints, ...$property->getConstraints());
                }
                $bounds = self::bounds($constraints);
                if ([] !== $bounds) {
                    ksort($bounds);
                    yield "$schema.$field" => [$schema, $field, $bounds];
                }
            }
        }
    }

    /**
     * @param array<Constraint> $constraints
     *
     * @return array<string, mixed> by the name of the bound in JSON Schema; those of list items begin with "items."
     */
    private static function bounds(array $constraints): array
    {
        $bounds = [];
        foreach ($constraints as $constraint) {
            $bounds += array_filter(
                match (true) {
                    $constraint instanceof Assert\Length => [
                        'minLength' => $constraint->min,
                        'maxLength' => $constraint->max,
                    ],
                    $constraint instanceof Assert\Range => [
                        'minimum' => $constraint->min,
                        'maximum' => $constraint->max,
                    ],
                    $constraint instanceof Assert\Count => [
                        'minItems' => 0 === $constraint->min ? null : $constraint->min,
                        'maxItems' => $constraint->max,
                    ],
                    $constraint instanceof Assert\Positive => ['minimum' => 1],
                    $constraint instanceof Assert\PositiveOrZero => ['minimum' => 0],
                    $constraint instanceof Assert\All => self::ofItems($constraint->getNestedConstraints()),
                    default => [],
                },
                static fn (mixed $bound): bool => null !== $bound,
            );
        }

        return $bounds;
    }

    /**
     * @param array<Constraint> $constraints
     *
     * @return array<string, mixed>
     */
    private static function ofItems(array $constraints): array
    {
        $bounds = [];
        foreach (self::bounds($constraints) as $name => $bound) {
            $bounds['items.'.$name] = $bound;
        }

        return $bounds;
    }

    /** @return array<mixed> the field in the contract */
    private static function field(string $schema, string $field): array
    {
        static $contract = null;
        $contract ??= Yaml::parseFile(__DIR__.'/../../docs/openapi.yaml');
        [$name, $list] = [...explode('.', $schema), null];
        $inList = null === $list ? [] : ['properties', $list, 'items'];
        $path = ['components', 'schemas', (string) $name, ...$inList, 'properties', $field];
        $described = self::value($contract, ...$path);
        $reference = $described['$ref'] ?? null;
        $target = \is_string($reference) ? self::value($contract, ...explode('/', substr($reference, 2))) : [];

        return [...$target, ...$described];
    }

    /** @return array<mixed> */
    private static function value(mixed $contract, string ...$path): array
    {
        foreach ($path as $key) {
            self::assertIsArray($contract);
            self::assertArrayHasKey($key, $contract, implode('.', $path).' is missing from the contract.');
            $contract = $contract[$key];
        }
        self::assertIsArray($contract);

        return $contract;
    }

    /**
     * @param array<mixed> $described
     *
     * @return array<mixed> with the bounds of items, and of the values of a map, under names of their own
     */
    private static function flat(array $described): array
    {
        $flat = $described;
        foreach ([['items', 'items.'], ['additionalProperties', 'items.']] as [$key, $prefix]) {
            foreach (\is_array($described[$key] ?? null) ? $described[$key] : [] as $name => $bound) {
                $flat[$prefix.$name] = $bound;
            }
        }
        if (isset($described['maxProperties'])) {
            $flat['maxItems'] = $described['maxProperties'];
        }
        ksort($flat);

        return $flat;
    }
}
