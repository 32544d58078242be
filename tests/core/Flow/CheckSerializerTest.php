<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow;

use Eris\TestTrait;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Serializer\CheckSerializer;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

final class CheckSerializerTest extends TestCase
{
    use TestTrait;

    /** An independent validator checks every document against the schema in docs/openapi.yaml. */
    public function testTheDocumentOfAnyChainKeepsItsSchema(): void
    {
        $openapi = Yaml::parseFile(__DIR__.'/../../../docs/openapi.yaml');
        self::assertIsArray($openapi);
        self::assertIsArray($openapi['components']);
        $schema = Helper::toJSON([
            '$ref' => '#/components/schemas/Check',
            'components' => ['schemas' => $openapi['components']['schemas']],
        ]);
        self::assertIsObject($schema);
        $validator = new Validator();
        $this->limitTo(40)
            ->forAll(Chains::any())
            ->then(static function (Chain $chain) use ($validator, $schema): void {
                foreach (Stance::cases() as $stance) {
                    $text = (new Writer(Numbering::named('parity')))->write(new ChainInStance($chain, $stance));
                    $document = CheckSerializer::builtIn()->serialize(
                        Reader::builtIn()->readText(new ChainText(mb_substr($text, 0, Reader::MAX_LENGTH), $stance)),
                        new CheckOptions(BuiltInHouseRules::named('all-limbs')),
                    );
                    $error = $validator
                        ->validate(json_decode(json_encode($document, \JSON_THROW_ON_ERROR)), $schema)
                        ->error();
                    self::assertNull(
                        $error,
                        null === $error ? '' : print_r((new ErrorFormatter())->format($error), true),
                    );
                }
            });
    }

    public function testPlacesPointIntoTheTextAndTheChain(): void
    {
        $this->limitTo(60)
            ->forAll(Chains::any())
            ->then(static function (Chain $chain): void {
                $text = (new Writer(Numbering::named('parity')))->write(new ChainInStance($chain, Stance::Orthodox));
                $document = CheckSerializer::builtIn()->serialize(
                    Reader::builtIn()->readText(new ChainText($text)),
                    new CheckOptions(BuiltInHouseRules::named('all-limbs')),
                );
                if ([] !== $document['problems']) {
                    self::assertGreaterThan(Reader::MAX_LENGTH, mb_strlen($text));

                    return;
                }
                self::assertSame($text, $document['notation']);
                self::assertIsArray($document['items']);
                self::assertCount(\count($chain), $document['items']);
                $end = 0;
                foreach ($document['items'] as $item) {
                    self::assertIsArray($item);
                    self::assertIsInt($item['at']);
                    self::assertIsInt($item['length']);
                    self::assertSame($item['text'], mb_substr($text, $item['at'], $item['length']));
                    self::assertIsInt($item['endMs']);
                    $end = max($end, $item['endMs']);
                }
                self::assertSame($document['lengthMs'], $end);
            });
    }

    /** A strike that is said once and thrown twice has one place in the text. */
    public function testPlacesOfSpokenItemsAreTold(): void
    {
        $text = 'double jab, hard two, fake three';
        $items = (array) CheckSerializer::builtIn()->serialize(
            Reader::builtIn()->readText(new ChainText($text)),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        )['items'];
        $said = array_map(
            static fn (mixed $item): string => \is_array($item) && \is_int($item['at']) && \is_int($item['length'])
                ? mb_substr($text, $item['at'], $item['length'])
                : '',
            $items,
        );

        self::assertSame(['double jab', 'double jab', 'hard two', 'fake three'], $said);
        self::assertSame(['1', '1', '2!', '(3)'], array_column($items, 'text'));
    }

    public function testTheMirrorOfTheMirrorAndTheCarryOfTheCarry(): void
    {
        $first = CheckSerializer::builtIn()->serialize(
            Reader::builtIn()->readText(new ChainText('1 2 3b slip left 2', numbering: Numbering::named('hands'))),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
        self::assertIsArray($first['mirror']);
        self::assertIsArray($first['carry']);
        self::assertSame(
            ['1 2 3b slip-lead 2', '2 1 4b slip-lead 1', 'southpaw'],
            [$first['mirror']['notation'], $first['mirror']['text'], $first['mirror']['stance']],
        );
        self::assertSame(
            ['2 1 4b slip-rear 1', '1 2 3b slip-rear 2'],
            [$first['carry']['notation'], $first['carry']['text']],
        );

        self::assertIsString($first['mirror']['words']);
        $second = CheckSerializer::builtIn()->serialize(
            Reader::builtIn()->readText(new ChainText($first['mirror']['words'], Stance::Southpaw)),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
        self::assertIsArray($second['mirror']);
        self::assertSame(
            'left jab, right cross, left hook to the body, slip left, right cross',
            $second['mirror']['words'],
        );
        self::assertSame($first['fingerprint'], $second['fingerprint']);
    }

    public function testTheOfferIsWrittenInTheAskedNumbering(): void
    {
        $document = CheckSerializer::builtIn()->serialize(
            Reader::builtIn()->readText(new ChainText('1 7', numbering: Numbering::named('body-pairs'))),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
        self::assertIsArray($document['mirror']);
        self::assertIsArray($document['mirror']['changes']);

        self::assertContains('8', array_column($document['mirror']['changes'], 'offer'));
    }

    public function testUnreadableTextHasNoVerdict(): void
    {
        $document = CheckSerializer::builtIn()->serialize(
            Reader::builtIn()->readText(new ChainText('1 2 crss')),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );

        self::assertSame(
            [null, null, null, [], [], null],
            [
                $document['notation'],
                $document['verdict'],
                $document['linkVerdict'],
                $document['items'],
                $document['links'],
                $document['mirror'],
            ],
        );
        self::assertCount(1, (array) $document['problems']);
    }

    #[TestWith(['judo', 'parity', 'There are no house rules "judo"'])]
    #[TestWith(['boxing', 'roman', 'There is no numbering "roman"'])]
    public function testUnknownRulesAndNumberingsAreRefused(string $rules, string $numbering, string $sentence): void
    {
        $this->expectException(\OutOfBoundsException::class);
        $this->expectExceptionMessage($sentence);
        CheckSerializer::builtIn()->serialize(
            Reader::builtIn()->readText(new ChainText('1 2', numbering: Numbering::named($numbering))),
            new CheckOptions(BuiltInHouseRules::named($rules)),
        );
    }

    #[TestWith([0.49])]
    #[TestWith([3.01])]
    public function testATempoBeyondItsBounds(float $tempo): void
    {
        $this->expectException(\DomainException::class);
        new CheckOptions(BuiltInHouseRules::named('boxing'), $tempo);
    }
}
