<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Combination\Contact;

use function Periplus\Core\Language\t;

/**
 * The part of an orthodox opponent that a strike or step reaches, in the stance that the combination was written for.
 */
final readonly class ContactClause implements Clause
{
    public function __construct(public Contact $contact, public bool $wanted, private string $text)
    {
    }

    public function says(): string
    {
        return ($this->wanted ? t('goes ') : t('nothing goes ')).$this->contact->words();
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->contact($this);
    }
}
