<?php

declare(strict_types=1);

namespace Periplus\Tests\Core;

use Periplus\App\Console\DocsCommand;
use PHPUnit\Framework\TestCase;

final class DocumentationTest extends TestCase
{
    public function testTheDocumentationSaysWhatTheCodeDoes(): void
    {
        foreach (DocsCommand::written() as $file => $text) {
            self::assertStringEqualsFile(__DIR__.'/../../docs/'.$file, $text, 'Write it anew: bin/periplus docs');
        }
    }
}
