<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use function Periplus\Core\Language\t;

/** What a gym can offer to others. */
enum OfferKind: string
{
    case Combination = 'combination';
    /** Every combination that has it, also later ones. Other gyms see the combinations. */
    case Theme = 'theme';
    /** A course with its syllabus, and the combinations of that. */
    case Course = 'course';
    case Numbering = 'numbering';
    case HouseRules = 'house-rules';

    public function words(): string
    {
        return match ($this) {
            self::Combination => t('the combination'),
            self::Theme => t('the theme'),
            self::Course => t('the course'),
            self::Numbering => t('the numbering'),
            self::HouseRules => t('the house rules'),
        };
    }
}
