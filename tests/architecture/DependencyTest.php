<?php

declare(strict_types=1);

namespace Periplus\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Dependencies go one way: app to core, and inside of both from folder to folder as named here. Run by PHPStan. */
final class DependencyTest
{
    /** What each folder may know, its own classes aside. ArchitectureTest holds that there is no circle and that no folder is missing. */
    public const MAY_KNOW = [
        'Core\Technique' => [],
        'Core\Combination' => ['Core\Technique'],
        'Core\Balance' => ['Core\Technique'],
        'Core\HouseRules' => ['Core\Technique'],
        'Core\Notation' => ['Core\Technique', 'Core\Combination'],
        'Core\Similarity' => ['Core\Technique', 'Core\Combination'],
        'Core\Flow\Timing' => ['Core\Technique', 'Core\Combination', 'Core\Balance', 'Core\HouseRules'],
        'Core\Flow\Options' => ['Core\Technique', 'Core\Balance', 'Core\HouseRules', 'Core\Notation', 'Core\Drawing'],
        'Core\Flow\Rule' => ['Core\Technique', 'Core\Combination', 'Core\Balance', 'Core\HouseRules', 'Core\Flow\Timing', 'Core\Flow\Options'],
        'Core\Flow\Rules' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Rule'],
        'Core\Drawing' => ['Core\Technique', 'Core\Combination', 'Core\Balance', 'Core\Notation', 'Core\Flow\Timing'],
        'Core\Flow\Check' => ['Core\Technique', 'Core\Combination', 'Core\Balance', 'Core\HouseRules', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Rule', 'Core\Flow\Rules'],
        'Core\Flow\Calibration' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Notation', 'Core\Flow\Timing', 'Core\Flow\Rules'],
        'Core\Flow\Level' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Timing', 'Core\Flow\Check'],
        'Core\Flow\Mend' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check'],
        'Core\Flow\Next' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check'],
        'Core\Flow\Generate' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Flow\Level'],
        'Core\Flow\Serializer' => ['Core\Technique', 'Core\Combination', 'Core\Balance', 'Core\HouseRules', 'Core\Notation', 'Core\Drawing', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Flow\Level', 'Core\Flow\Mend', 'Core\Flow\Next', 'Core\Flow\Generate'],
        'Core\Search' => ['Core\Technique', 'Core\Combination', 'Core\Notation', 'Core\Similarity', 'Core\Flow\Timing', 'Core\Flow\Rules'],
        'Core\Session\Advice' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Timing', 'Core\Flow\Check', 'Core\Flow\Generate'],
        'Core\Session\ReturnFire' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Flow\Next'],
        'Core\Session\Format' => ['Core\Technique'],
        'Core\Session\Sequence' => ['Core\Combination', 'Core\Similarity'],
        'Core\Session\Drill' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Notation', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Flow\Generate', 'Core\Session\Advice'],
        'Core\Session\Drills' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Flow\Next', 'Core\Session\Drill', 'Core\Session\ReturnFire'],
        'Core\Session\Plan' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Notation', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Rules', 'Core\Flow\Check', 'Core\Session\Advice', 'Core\Session\Drill', 'Core\Session\Drills'],
        'Core\Session\Programme' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Session\Drill', 'Core\Session\Advice', 'Core\Session\Plan'],
        'Core\Session\Run' => ['Core\Session\Drill', 'Core\Session\Drills', 'Core\Session\Plan', 'Core\Session\Programme'],
        'Core\Session\Wall' => ['Core\Technique', 'Core\Combination', 'Core\Notation', 'Core\Drawing', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Session\Drill', 'Core\Session\Plan', 'Core\Session\Programme'],
        'Core\Session\Load' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Options', 'Core\Session\Drill', 'Core\Session\Plan', 'Core\Session\Programme'],
        'Core\Session\Warning' => ['Core\Technique', 'Core\HouseRules', 'Core\Flow\Rule', 'Core\Session\Plan', 'Core\Session\Programme', 'Core\Session\Load'],
        'Core\Session\Warnings' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Rule', 'Core\Flow\Options', 'Core\Session\Drill', 'Core\Session\Plan', 'Core\Session\Programme', 'Core\Session\Load', 'Core\Session\Warning'],
        'Core\Session\Compose' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Notation', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Flow\Generate', 'Core\Flow\Level', 'Core\Session\Drill', 'Core\Session\Advice', 'Core\Session\Sequence', 'Core\Session\Plan', 'Core\Session\Programme', 'Core\Session\Load', 'Core\Session\Format'],
        'Core\Session\Serializer' => ['Core\Technique', 'Core\Combination', 'Core\HouseRules', 'Core\Notation', 'Core\Flow\Timing', 'Core\Flow\Options', 'Core\Flow\Check', 'Core\Flow\Next', 'Core\Flow\Level', 'Core\Session\Drill', 'Core\Session\Drills', 'Core\Session\Advice', 'Core\Session\ReturnFire', 'Core\Session\Sequence', 'Core\Session\Plan', 'Core\Session\Programme', 'Core\Session\Load', 'Core\Session\Warning', 'Core\Session\Warnings', 'Core\Session\Compose'],
        'Core\Session\Log' => ['Core\Technique', 'Core\Combination', 'Core\Flow\Options', 'Core\Session\Drill', 'Core\Session\Plan', 'Core\Session\Programme', 'Core\Session\Load'],
        'Core\Session\Due' => ['Core\HouseRules', 'Core\Flow\Rule', 'Core\Session\Warning', 'Core\Session\Warnings'],
        'Core\Session\Path' => ['Core\Combination'],
        'Core\Measure' => ['Core\Combination', 'Core\Flow\Timing'],
        'App\Store' => [],
        'App\Http' => ['App\Store'],
        'App\Audit' => ['App\Store'],
        'App\Gym' => ['App\Store', 'App\Http'],
        'App\Account' => ['App\Store', 'App\Http', 'App\Audit', 'App\Gym'],
        'App\HouseRules' => ['App\Store', 'App\Http', 'App\Account'],
        'App\Numbering' => ['App\Store', 'App\Http', 'App\Audit', 'App\Gym', 'App\Account'],
        'App\Combination' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\HouseRules',
            'App\Numbering',
        ],
        'App\Search' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\Numbering',
            'App\Combination',
        ],
        'App\Similarity' => ['App\Store', 'App\Http', 'App\Account', 'App\Numbering', 'App\Combination'],
        'App\Review' => ['App\Store', 'App\Http', 'App\Audit', 'App\Account', 'App\Numbering', 'App\Combination'],
        'App\RulePreview' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\HouseRules',
            'App\Numbering',
            'App\Combination',
            'App\Search',
        ],
        'App\Check' => [
            'App\Store',
            'App\Http',
            'App\Account',
            'App\HouseRules',
            'App\Numbering',
            'App\Combination',
            'App\Similarity',
        ],
        'App\Print' => [
            'App\Store',
            'App\Http',
            'App\Gym',
            'App\Account',
            'App\Numbering',
            'App\Combination',
            'App\Search',
            'App\Plan',
        ],
        'App\Exchange' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Account',
            'App\HouseRules',
            'App\Numbering',
            'App\Combination',
            'App\Search',
            'App\Similarity',
        ],
        'App\Settings' => ['App\Store', 'App\Http', 'App\Audit', 'App\Gym', 'App\Account'],
        'App\Advice' => ['App\Store', 'App\Http', 'App\Audit', 'App\Account'],
        'App\Course' => ['App\Store', 'App\Http', 'App\Audit', 'App\Account'],
        'App\Plan' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\HouseRules',
            'App\Numbering',
            'App\Combination',
            'App\Advice',
            'App\Course',
        ],
        'App\Wall' => ['App\Store', 'App\Http', 'App\Audit', 'App\Account'],
        'App\Voice' => ['App\Store', 'App\Http', 'App\Audit', 'App\Gym', 'App\Account'],
        'App\Run' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\Numbering',
            'App\Plan',
            'App\Wall',
            'App\Voice',
        ],
        'App\Measure' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\HouseRules',
            'App\Combination',
        ],
        'App\Logbook' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\HouseRules',
            'App\Numbering',
            'App\Combination',
            'App\Course',
            'App\Plan',
            'App\Run',
            'App\Exchange',
            'App\Print',
            'App\Measure',
        ],
        'App\Card' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\HouseRules',
            'App\Numbering',
            'App\Combination',
            'App\Print',
        ],
        'App\Vocabulary' => ['App\Card', 'App\Exchange', 'App\Print'],
        'App\Maintenance' => [
            'App\Store',
            'App\Http',
            'App\Audit',
            'App\Gym',
            'App\Account',
            'App\Combination',
            'App\Wall',
        ],
        'App\Demo' => ['App\Gym', 'App\Account', 'App\Combination', 'App\Review', 'App\Course', 'App\Plan', 'App\Wall', 'App\Measure', 'App\Logbook', 'App\Card'],
        'App\Benchmark' => ['App\Account', 'App\Gym', 'App\Combination', 'App\RulePreview', 'App\Logbook'],
        'App\Console' => ['App\Benchmark', 'App\Print'],
        'App\Migrations' => [],
    ];

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function foldersKnowOnlyWhatIsNamed(): iterable
    {
        foreach (self::MAY_KNOW as $folder => $known) {
            $others = array_filter(array_keys(self::MAY_KNOW), static fn (string $other): bool => $other !== $folder
                && !\in_array($other, $known, true)
                // The core is known to all of the application.
                && !(str_starts_with($folder, 'App\\') && str_starts_with($other, 'Core\\')));
            yield $folder => PHPat::rule()
                ->classes(Selector::inNamespace('Periplus\\'.$folder))
                ->shouldNotDependOn()
                ->classes(...array_values(array_map(static fn (string $other) => Selector::inNamespace('Periplus\\'.$other), $others)))
                ->because('MAY_KNOW does not name it');
        }
    }

    #[TestRule]
    public function coreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\Core'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Periplus\Core'), Selector::isStandardClass())
            ->because('the computation has to stand without framework, storage or screen');
    }
}
