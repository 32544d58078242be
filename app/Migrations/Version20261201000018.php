<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201000018 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A course has a syllabus';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE course ADD syllabus JSON DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE course DROP syllabus');
    }
}
