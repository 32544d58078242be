<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130000014 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The words that a gym passes over in typed lines';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE passed_over_words (id INT NOT NULL, version INT DEFAULT 1 NOT NULL, own JSON NOT NULL, '
                .'kept JSON NOT NULL, updated_at DATETIME DEFAULT NULL, editor_id INT DEFAULT NULL, '
                .'INDEX by_editor (editor_id), PRIMARY KEY (id))',
        );
        $this->addSql(
            'ALTER TABLE passed_over_words ADD CONSTRAINT words_editor FOREIGN KEY (editor_id) REFERENCES user (id)',
        );
        $this->addSql("INSERT INTO passed_over_words (id, own, kept) VALUES (1, '[]', '[]')");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE passed_over_words');
    }
}
