<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/**
 * Reads the files of core/data: as JSON, or from a PHP array if {@see layDown} wrote one, which OPcache keeps in
 * memory.
 */
final class Data
{
    private const FOLDER = __DIR__.'/../data';
    private static ?string $laidDown = null;

    /** Reads from now on what {@see layDown} wrote to that folder. */
    public static function from(string $folder): void
    {
        self::$laidDown = $folder;
    }

    /** @return array<mixed> */
    public static function read(string $name): array
    {
        if (null !== self::$laidDown && is_file($file = self::$laidDown.'/'.$name.'.php')) {
            $data = require $file;
        } else {
            $data = json_decode(
                (string) file_get_contents(self::FOLDER.'/'.$name.'.json'),
                true,
                flags: \JSON_THROW_ON_ERROR,
            );
        }

        return \is_array($data) ? $data : throw new \UnexpectedValueException($name.' holds no object.');
    }

    /** @return list<string> the lines of a table that say something: without remarks */
    public static function lines(string $file): array
    {
        $lines = explode("\n", (string) file_get_contents(self::FOLDER.'/'.$file));

        return array_values(array_filter($lines, static fn (string $line): bool => '' !== $line && '#' !== $line[0]));
    }

    /** @return list<string> the names of the files without an ending */
    public static function names(): array
    {
        $files = glob(self::FOLDER.'/*.json');
        $names = array_map(
            static fn (string $file): string => basename($file, '.json'),
            false === $files ? [] : $files,
        );

        return array_values(array_filter($names, static fn (string $name): bool => !str_ends_with($name, '.schema')));
    }

    /** Writes every file to that folder as a PHP array. */
    public static function layDown(string $folder): void
    {
        foreach (self::names() as $name) {
            file_put_contents(
                $folder.'/'.$name.'.php',
                '<?php return '.var_export(self::read($name), true).";\n",
                \LOCK_EX,
            );
        }
    }
}
