<?php

declare(strict_types=1);

namespace Periplus\Tests\Core;

use Periplus\Tests\Architecture\DependencyTest;
use PHPUnit\Framework\TestCase;

/** The directions between the folders; PHPStan holds the code to them. */
final class ArchitectureTest extends TestCase
{
    public function testNoFolderKnowsItselfByWayOfOthers(): void
    {
        foreach (array_keys(DependencyTest::MAY_KNOW) as $folder) {
            self::assertNotContains($folder, self::reached($folder, []), $folder);
        }
    }

    public function testEveryFolderOfCodeHasItsDirections(): void
    {
        $folders = [];
        foreach (['Core' => 'core', 'App' => 'app'] as $name => $root) {
            $top = __DIR__.'/../../'.$root;
            /** @var \SplFileInfo $file */
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($top, \FilesystemIterator::SKIP_DOTS)) as $file) {
                $folder = substr($file->getPath(), \strlen($top) + 1);
                // What configures or starts is no folder of code.
                if ('php' === $file->getExtension() && '' !== $folder && 1 !== preg_match('~^(config|public|Print/fonts)~', $folder)) {
                    $folders[$name.'\\'.strtr($folder, '/', '\\')] = true;
                }
            }
        }
        ksort($folders);
        $named = array_fill_keys(array_keys(DependencyTest::MAY_KNOW), true);
        ksort($named);

        self::assertSame($named, $folders);
    }

    /**
     * @param list<string> $seen
     *
     * @return list<string> all folders that it knows, directly or not
     */
    private static function reached(string $folder, array $seen): array
    {
        foreach (DependencyTest::MAY_KNOW[$folder] ?? [] as $known) {
            if (!\in_array($known, $seen, true)) {
                $seen = self::reached($known, [...$seen, $known]);
            }
        }

        return $seen;
    }
}
