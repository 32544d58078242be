<?php

declare(strict_types=1);

namespace Periplus\Tests\Core;

use Periplus\App\Console\DocsCommand;
use Periplus\App\Console\MessagesCommand;
use PHPUnit\Framework\TestCase;

final class DocumentationTest extends TestCase
{
    public function testTheDocumentationSaysWhatTheCodeDoes(): void
    {
        foreach (DocsCommand::written() as $file => $text) {
            self::assertStringEqualsFile(__DIR__.'/../../docs/'.$file, $text, 'Write it anew: bin/periplus docs');
        }
    }

    public function testTheCataloguesHaveWhatTheServerSays(): void
    {
        foreach (MessagesCommand::written() as $file => $text) {
            self::assertStringEqualsFile(__DIR__.'/../../'.$file, $text, 'Write it again: bin/periplus messages');
        }
    }
}
