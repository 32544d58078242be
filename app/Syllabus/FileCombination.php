<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A combination in the file of a syllabus: by its chain, because another gym knows it by another id. */
final readonly class FileCombination
{
    /** @param string $chain in parity numbering */
    public function __construct(
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Length(max: Reader::MAX_LENGTH, maxMessage: 'A chain has at most {{ limit }} characters.')]
        public string $chain,
        public Stance $stance = Stance::Orthodox,
    ) {
    }
}
