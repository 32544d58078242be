<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** One of each class that a folder has, so that a rule, a drill or a warning is added by its file alone. */
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
    public static function of(string $folder, string $namespace, string $type): array
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
