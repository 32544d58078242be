<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** Creates one instance of each class in a folder, so that adding a rule, drill or warning takes only its file. */
final class Instances
{
    /**
     * @template T of object
     *
     * @param string $namespace of the classes in that folder
     * @param class-string<T> $type what they have to be; others are left out
     *
     * @return list<T> by the names of their files
     */
    public static function inFolder(string $folder, string $namespace, string $type): array
    {
        $found = [];
        $files = glob($folder.'/*.php');
        foreach (false === $files ? [] : $files as $file) {
            $class = $namespace.'\\'.basename($file, '.php');
            if (is_subclass_of($class, $type)) {
                $found[] = new $class();
            }
        }

        return $found;
    }
}
