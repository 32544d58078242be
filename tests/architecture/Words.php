<?php

declare(strict_types=1);

namespace Periplus\Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;

/** Everything that the core and the server say, file by file, to be read in a row. */
final class Words
{
    private const ROOT = __DIR__.'/../../';
    /** What says nothing to people: tables, the console's measurements, and made-up names. */
    private const SILENT = '~^app/(Migrations|Benchmark|config|Demo)/~';
    /** SQL, patterns, places, and what is no sentence. */
    private const NO_PROSE = '!\b(SELECT|INSERT|UPDATE|DELETE|ALTER|CREATE|WHERE|LOCK|RENAME|FROM|ORDER BY|LIMIT|IN '
        .'SHARE|IS NULL|VALUES|JOIN)\b|^[/~#^(]|[<>=_\\\\]|\bc\.[a-z]|IN \(|IF\(|^[a-z-]+\(|::|"/!';

    public static function catalogue(): string
    {
        $parts = [];
        foreach (self::files() as $file) {
            $words = self::of(self::ROOT.$file);
            if ([] !== $words) {
                $parts[] = '## '.$file."\n".implode("\n", $words)."\n";
            }
        }

        return implode("\n", $parts);
    }

    /** @return list<string> */
    private static function files(): array
    {
        $files = [];
        foreach (['core', 'app'] as $folder) {
            $eachFile = new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator(self::ROOT.$folder, \FilesystemIterator::SKIP_DOTS),
            );
            foreach ($eachFile as $file) {
                \assert($file instanceof \SplFileInfo);
                $name = substr($file->getPathname(), \strlen(self::ROOT));
                if ('php' === $file->getExtension() && 1 !== preg_match(self::SILENT, $name)) {
                    $files[] = $name;
                }
            }
        }
        sort($files);

        return $files;
    }

    /** @return list<string> in their order, none twice */
    private static function of(string $file): array
    {
        $visitor = new class extends NodeVisitorAbstract {
            /** @var list<string> */
            public array $words = [];

            public function enterNode(Node $node): null
            {
                if ($node instanceof Node\Scalar\String_) {
                    $this->words[] = $node->value;
                } elseif ($node instanceof Node\Scalar\InterpolatedString) {
                    $this->words[] = implode(
                        '',
                        array_map(
                            static fn (Node $part): string => $part instanceof Node\InterpolatedStringPart
                                ? $part->value
                                : '…',
                            $node->parts,
                        ),
                    );
                }

                return null;
            }
        };
        $traverser = new NodeTraverser($visitor);
        $traverser->traverse(
            (new ParserFactory())->createForHostVersion()->parse((string) file_get_contents($file)) ?? [],
        );
        $words = array_map(
            static fn (string $text): string => trim((string) preg_replace('/\s+/u', ' ', $text)),
            $visitor->words,
        );

        return array_values(
            array_unique(
                array_filter(
                    $words,
                    static fn (string $text): bool => 1 === preg_match('/\p{L}{2}.* .*\p{L}/u', $text)
                        && 1 !== preg_match(self::NO_PROSE, $text),
                ),
            ),
        );
    }
}
