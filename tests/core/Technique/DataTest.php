<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Technique;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class DataTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../../core/data/';

    #[TestWith(['techniques'])]
    #[TestWith(['moves'])]
    #[TestWith(['body'])]
    #[TestWith(['numberings'])]
    #[TestWith(['house-rules'])]
    #[TestWith(['segments'])]
    #[TestWith(['balance'])]
    #[TestWith(['floor'])]
    #[TestWith(['level'])]
    #[TestWith(['session'])]
    #[TestWith(['reminders'])]
    #[TestWith(['exercises'])]
    #[TestWith(['defences'])]
    #[TestWith(['bout-formats'])]
    #[TestWith(['similarity'])]
    public function testDataMatchesItsSchema(string $name): void
    {
        $validator = new Validator();
        $validator->setMaxErrors(5);
        $schema = (string) file_get_contents(self::FOLDER.$name.'.schema.json');
        $result = $validator->validate(Helper::toJSON(self::json($name)), $schema);

        self::assertNull(
            $result->error(),
            null === $result->error() ? '' : print_r((new ErrorFormatter())->format($result->error()), true),
        );
    }

    public function testEveryFieldOfTheDataNamesItsUnit(): void
    {
        $techniques = self::json('techniques');
        $fields = $techniques['fields'];
        self::assertIsArray($fields);
        $required = [
            'out',
            'back',
            'needs.load',
            'needs.turn',
            'leaves.load',
            'leaves.turn',
            'leaves.frontFootLoad',
            'ranges',
        ];
        foreach ($required as $field) {
            self::assertArrayHasKey($field, $fields);
        }
    }

    public function testIdsAreUnique(): void
    {
        $techniques = self::json('techniques');
        $moves = self::json('moves');
        self::assertIsArray($techniques['strikes']);
        self::assertIsArray($moves['moves']);
        self::assertCount(\count($techniques['strikes']), Catalogue::builtIn()->strikes);
        self::assertCount(\count($moves['moves']), Catalogue::builtIn()->moves);
    }

    /** Windows and ends use one scale: every strike can be followed by some other strike. */
    public function testEveryWindowCanBeReached(): void
    {
        foreach (Catalogue::builtIn()->strikes as $strike) {
            self::assertLessThan(1.0, $strike->needsLoad->from);
            self::assertGreaterThan(0.0, $strike->needsLoad->to);
            self::assertSame(
                $strike->limb->isArm(),
                null === $strike->standsOn,
                $strike->id.' stands on both feet only as an arm.',
            );
            if (null !== $strike->standsOn) {
                self::assertNotSame(
                    $strike->role,
                    $strike->standsOn,
                    $strike->id.' cannot stand on the leg that strikes.',
                );
            }
        }
    }

    public function testNumberingsNameStrikesThatExistAndNoneTwice(): void
    {
        foreach (Numbering::builtIn() as $numbering) {
            $seen = [];
            foreach ($numbering->entries as $entry) {
                self::assertTrue(Catalogue::builtIn()->hasFamily($entry->family), $numbering->id.' '.$entry->code);
                if ($entry->position instanceof Role) {
                    self::assertNotNull(
                        Catalogue::builtIn()->inFamily($entry->family, $entry->position),
                        $numbering->id.' '.$entry->code,
                    );
                }
                $key = $entry->family.' '.$entry->position->value.' '.$entry->target?->value;
                self::assertArrayNotHasKey($key, $seen, $numbering->id.' numbers '.$key.' twice.');
                $seen[$key] = true;
            }
        }
    }

    /** Combinations are stored in parity, so each strike needs a short form in it. */
    public function testParityAndHandsNumberEveryStrike(): void
    {
        foreach (['parity', 'hands'] as $id) {
            foreach (Catalogue::builtIn()->strikes as $strike) {
                foreach (Stance::cases() as $stance) {
                    self::assertNotNull(
                        Numbering::named($id)->numberOf(
                            $strike->family,
                            $strike->role,
                            $strike->defaultTarget(),
                            $stance,
                        ),
                        $id.' '.$strike->id,
                    );
                }
            }
        }
    }

    public function testEveryRuleHasASeverityInEveryBuiltInSet(): void
    {
        foreach (RuleRegistry::weighed() as $rule) {
            self::assertSame(BuiltInHouseRules::ids(), array_keys($rule->severities ?? []), $rule->id);
        }
        self::assertNotSame([], RuleRegistry::weighed());
    }

    /** @return array<mixed> */
    private static function json(string $name): array
    {
        $data = json_decode((string) file_get_contents(self::FOLDER.$name.'.json'), true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($data);

        return $data;
    }
}
