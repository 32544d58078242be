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
    /** What a course teaches week by week, and its combinations. */
    case Programme = 'programme';
    case Numbering = 'numbering';
    case HouseRules = 'house-rules';

    public function words(): string
    {
        return match ($this) {
            self::Combination => t('the combination'),
            self::Theme => t('the theme'),
            self::Programme => t('the programme of the course'),
            self::Numbering => t('the numbering'),
            self::HouseRules => t('the house rules'),
        };
    }
}
