<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

enum RulePreviewState: string
{
    case Running = 'running';
    /** Every combination is checked; the results can be viewed and saved. */
    case Ready = 'ready';
    case Saved = 'saved';
    /** What an update of the check itself changed; kept until the head coach has accepted it. */
    case Updated = 'updated';
}
