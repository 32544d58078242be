<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

/** What is kept of a technique or a combination: pictures with or without sound, or sound alone. */
enum RecordingKind: string
{
    case Video = 'video';
    case Sound = 'sound';
}
