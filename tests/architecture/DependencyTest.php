<?php

declare(strict_types=1);

namespace Periplus\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Dependencies go one way: app to core, and inside the core from the technique upward. Run by PHPStan. */
final class DependencyTest
{
    #[TestRule]
    public function coreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\Core'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Periplus\Core'), Selector::isStandardClass())
            ->because('the computation has to stand without framework, storage or screen');
    }

    #[TestRule]
    public function techniqueStandsAlone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\Core\Technique'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Periplus\Core\Combination'), Selector::inNamespace('Periplus\Core\Notation'), Selector::inNamespace('Periplus\Core\Flow'));
    }

    #[TestRule]
    public function combinationKnowsNoNotation(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\Core\Combination'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Periplus\Core\Notation'), Selector::inNamespace('Periplus\Core\Flow'));
    }

    #[TestRule]
    public function notationKnowsNoFlow(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\Core\Notation'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Periplus\Core\Flow'));
    }

    #[TestRule]
    public function balanceKnowsNoFlow(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\Core\Balance'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Periplus\Core\Combination'), Selector::inNamespace('Periplus\Core\Notation'), Selector::inNamespace('Periplus\Core\Flow'));
    }

    #[TestRule]
    public function flowKnowsNoLibrary(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\Core\Flow'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Periplus\Core\Library'));
    }

    #[TestRule]
    public function accountsKnowNoLibrary(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Periplus\App\Account'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Periplus\App\Library'), Selector::inNamespace('Periplus\App\Bench'), Selector::inNamespace('Periplus\App\Gym'), Selector::inNamespace('Periplus\App\Review'));
    }
}
