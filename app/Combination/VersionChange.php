<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use function Periplus\Core\Language\t;

/** The kind of change that made a version. */
enum VersionChange: string
{
    case Created = 'created';
    case Updated = 'updated';
    case Archived = 'archived';
    case Restored = 'restored';
    case BroughtBack = 'brought-back';
    case Imported = 'imported';

    /** Returns the words before the name of the combination. */
    public function words(): string
    {
        return match ($this) {
            self::Created => t('added to the library:'),
            self::Updated => 'changed',
            self::Imported => t('changed by an import'),
            self::Archived => 'archived',
            self::Restored => 'restored',
            self::BroughtBack => t('restored an earlier version of'),
        };
    }
}
