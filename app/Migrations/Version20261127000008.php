<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127000008 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Hands alone are found as boxing';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("INSERT IGNORE INTO index_term (term, combination_id) SELECT '@rules boxing', id FROM combination WHERE weapons = ',hand,' AND rules <> 'boxing' AND archived_at IS NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql("DELETE t FROM index_term t JOIN combination c ON c.id = t.combination_id WHERE t.term = '@rules boxing' AND c.rules <> 'boxing'");
    }
}
