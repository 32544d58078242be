<?php

declare(strict_types=1);

namespace Periplus\Tests\Core;

use Periplus\App\Console\DocsCommand;
use PHPUnit\Framework\TestCase;

final class DocumentationTest extends TestCase
{
    public function testTheDocumentationOfTheRulesIsWhatTheRulesSay(): void
    {
        self::assertStringEqualsFile(__DIR__.'/../../docs/formats/check.md', DocsCommand::written(), 'Write it anew: bin/periplus docs');
    }
}
