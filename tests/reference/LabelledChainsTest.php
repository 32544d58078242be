<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Calibration\LabelledChains;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Verdict;
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

    /** @return iterable<string, array{string, string, list<string>, list<string>}> */
    public static function rows(): iterable
    {
        foreach (LabelledChains::all() as $labelled) {
            yield $labelled->rules.': '.$labelled->notation => [
                $labelled->notation,
                $labelled->rules,
                array_map(static fn (Verdict $verdict): string => $verdict->value, $labelled->verdicts),
                $labelled->findings,
            ];
        }
    }

    /**
     * @param list<string> $verdicts
     * @param list<string> $findings
     */
    #[DataProvider('rows')]
    public function testCheckAgreesWithTheLabelledChains(
        string $chain,
        string $rules,
        array $verdicts,
        array $findings,
    ): void {
        $document = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText($chain)),
            new CheckOptions(BuiltInHouseRules::named($rules)),
        );

        self::assertSame([], $document->problems);
        isset(self::DISAGREES[$chain])
            ? self::assertNotContains($document->linkVerdict?->value, $verdicts, 'Agrees by now: '.$chain)
            : self::assertContains($document->linkVerdict?->value, $verdicts);
        $reported = array_column($document->findings, 'id');
        foreach ($findings as $finding) {
            self::assertContains($finding, $reported);
        }
    }

    public function testLabelledChainsAreNotEmpty(): void
    {
        self::assertGreaterThanOrEqual(160, \count(iterator_to_array(self::rows())));
    }
}
