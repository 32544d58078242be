<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Translation\Dumper\PoFileDumper;
use Symfony\Component\Translation\Extractor\PhpAstExtractor;
use Symfony\Component\Translation\Extractor\Visitor\ConstraintVisitor;
use Symfony\Component\Translation\Extractor\Visitor\TransMethodVisitor;
use Symfony\Component\Translation\MessageCatalogue;

/**
 * Extracts the messages of the core and the server into the English catalogues. A test fails when they are outdated.
 */
#[AsCommand('messages', 'Write the catalogues of what the server says')]
final class MessagesCommand extends Command
{
    private const ROOT = __DIR__.'/../../';

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        foreach (self::written() as $file => $text) {
            file_put_contents(self::ROOT.$file, $text);
            $output->writeln("$file is written.");
        }

        return Command::SUCCESS;
    }

    /** @return array<string, string> the catalogues as they should be, by file */
    public static function written(): array
    {
        $catalogue = new MessageCatalogue('en');
        $constraints = array_map(
            static fn (\SplFileInfo $file): string => $file->getBasename('.php'),
            iterator_to_array(
                (new Finder())->files()->in(self::ROOT.'vendor/symfony/validator/Constraints')->name('*.php'),
                false,
            ),
        );
        $extractor = new PhpAstExtractor([new TransMethodVisitor(), new ConstraintVisitor($constraints)]);
        $files = (new Finder())->files()->in([self::ROOT.'core', self::ROOT.'app'])->name('*.php');
        $extractor->extract(
            array_map(static fn (\SplFileInfo $file): string => $file->getPathname(), iterator_to_array($files, false)),
            $catalogue,
        );

        return [
            'app/translations/messages+intl-icu.en.po' => self::dump($catalogue, 'messages'),
            'app/translations/validators.en.po' => self::dump($catalogue, 'validators'),
        ];
    }

    private static function dump(MessageCatalogue $catalogue, string $domain): string
    {
        // In English a message is its own translation.
        $messages = array_keys($catalogue->all($domain));
        sort($messages);
        $sorted = new MessageCatalogue('en', [$domain => array_combine($messages, $messages)]);

        return (new PoFileDumper())->formatCatalogue($sorted, $domain)."\n";
    }
}
