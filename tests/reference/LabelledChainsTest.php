<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Calibration\LabelledChain;
use Periplus\Core\Flow\Calibration\LabelledChains;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Reader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The check compared with the verdicts that experienced coaches expect. Source of core/data/labelled-chains.tsv: common
 * practice, no published source. Only the verdict of the links is compared; findings are listed separately in the data.
 */
final class LabelledChainsTest extends TestCase
{
    /** Labels that differ from the model, and why the model was not changed. */
    private const DISAGREES = [
        '1 2 shift 3' => 'the hook is the hand that threw the cross: a change of the feet does not load it',
    ];

    /** @return iterable<string, array{LabelledChain}> */
    public static function rows(): iterable
    {
        foreach (LabelledChains::all() as $labelled) {
            $at = [$labelled->medium->value, $labelled->group->value];
            yield $labelled->rules.': '.$labelled->notation.' '.implode(' ', $at) => [$labelled];
        }
    }

    #[DataProvider('rows')]
    public function testCheckAgreesWithTheLabelledChains(LabelledChain $labelled): void
    {
        $chain = $labelled->notation;
        $document = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText($chain)),
            new CheckOptions(
                BuiltInHouseRules::named($labelled->rules),
                medium: $labelled->medium,
                group: $labelled->group,
            ),
        );

        self::assertSame([], $document->problems);
        isset(self::DISAGREES[$chain])
            ? self::assertNotContains($document->linkVerdict, $labelled->verdicts, 'Agrees by now: '.$chain)
            : self::assertContains($document->linkVerdict, $labelled->verdicts);
        $reported = [];
        foreach ($document->findings as $finding) {
            $reported[$finding->id][] = $finding->severity;
        }
        foreach ($labelled->findings as $expected) {
            self::assertTrue($expected->isMetBy($reported), $expected->words());
        }
    }

    public function testLabelledChainsAreNotEmpty(): void
    {
        self::assertGreaterThanOrEqual(160, \count(iterator_to_array(self::rows())));
    }
}
