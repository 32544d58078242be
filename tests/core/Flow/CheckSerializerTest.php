<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow;

use Eris\TestTrait;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Serializer\ItemDocument;
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
                    $document = CheckServices::load()->checkSerializer->serialize(
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
                $document = CheckServices::load()->checkSerializer->serialize(
                    Reader::builtIn()->readText(new ChainText($text)),
                    new CheckOptions(BuiltInHouseRules::named('all-limbs')),
                );
                if ([] !== $document->problems) {
                    self::assertGreaterThan(Reader::MAX_LENGTH, mb_strlen($text));

                    return;
                }
                self::assertSame($text, $document->notation);
                self::assertCount(\count($chain), $document->items);
                $end = 0;
                foreach ($document->items as $item) {
                    self::assertSame($item->text, mb_substr($text, $item->at, $item->length));
                    $end = max($end, $item->endMs);
                }
                self::assertSame($document->lengthMs, $end);
            });
    }

    /** A strike that is said once and thrown twice has one place in the text. */
    public function testPlacesOfSpokenItemsAreTold(): void
    {
        $text = 'double jab, hard two, fake three';
        $items = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText($text)),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        )->items;
        $said = array_map(
            static fn (ItemDocument $item): string => mb_substr($text, $item->at, $item->length),
            $items,
        );

        self::assertSame(['double jab', 'double jab', 'hard two', 'fake three'], $said);
        self::assertSame(['1', '1', '2!', '(3)'], array_column($items, 'text'));
    }

    public function testTheMirrorOfTheMirrorAndTheCarryOfTheCarry(): void
    {
        $first = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText('1 2 3b slip left 2', numbering: Numbering::named('hands'))),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
        self::assertNotNull($first->mirror);
        self::assertNotNull($first->carry);
        self::assertSame('1 2 3b slip-lead 2', $first->mirror->notation);
        self::assertSame('2 1 4b slip-lead 1', $first->mirror->text);
        self::assertSame(Stance::Southpaw, $first->mirror->stance);
        self::assertSame('2 1 4b slip-rear 1', $first->carry->notation);
        self::assertSame('1 2 3b slip-rear 2', $first->carry->text);

        $second = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText($first->mirror->words, Stance::Southpaw)),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
        self::assertSame(
            'left jab, right cross, left hook to the body, slip left, right cross',
            $second->mirror?->words,
        );
        self::assertSame($first->fingerprint, $second->fingerprint);
    }

    public function testTheOfferIsWrittenInTheAskedNumbering(): void
    {
        $document = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText('1 7', numbering: Numbering::named('body-pairs'))),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );

        self::assertContains('8', array_column($document->mirror->changes ?? [], 'offer'));
    }

    public function testUnreadableTextHasNoVerdict(): void
    {
        $document = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText('1 2 crss')),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );

        self::assertNull($document->notation);
        self::assertNull($document->verdict);
        self::assertNull($document->linkVerdict);
        self::assertSame([], $document->items);
        self::assertSame([], $document->links);
        self::assertNull($document->mirror);
        self::assertCount(1, $document->problems);
    }

    #[TestWith(['judo', 'parity', 'There are no house rules "judo"'])]
    #[TestWith(['boxing', 'roman', 'There is no numbering "roman"'])]
    public function testUnknownRulesAndNumberingsAreRefused(string $rules, string $numbering, string $sentence): void
    {
        $this->expectException(\OutOfBoundsException::class);
        $this->expectExceptionMessage($sentence);
        CheckServices::load()->checkSerializer->serialize(
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
