<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261124000001 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Accounts, combinations and their versions';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE combination (id INT AUTO_INCREMENT NOT NULL, version INT DEFAULT 1 NOT NULL, name VARCHAR(120) NOT NULL, notation TEXT NOT NULL, stance VARCHAR(10) NOT NULL, rules VARCHAR(20) NOT NULL, themes JSON NOT NULL, level SMALLINT NOT NULL, note TEXT NOT NULL, fingerprint VARCHAR(32) NOT NULL, fingerprint_with_effort VARCHAR(32) NOT NULL, verdict VARCHAR(10) NOT NULL, length_ms INT NOT NULL, words TEXT NOT NULL, weapons VARCHAR(40) NOT NULL, updated_at DATETIME NOT NULL, archived_at DATETIME DEFAULT NULL, created_at DATETIME NOT NULL, editor_id INT NOT NULL, author_id INT NOT NULL, INDEX IDX_DE091AAF6995AC4C (editor_id), INDEX IDX_DE091AAFF675F31B (author_id), INDEX by_name (archived_at, name), INDEX by_fingerprint (fingerprint_with_effort), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE combination_version (id INT AUTO_INCREMENT NOT NULL, content JSON NOT NULL, version INT NOT NULL, change_kind VARCHAR(12) NOT NULL, created_at DATETIME NOT NULL, combination_id INT NOT NULL, editor_id INT NOT NULL, INDEX IDX_6A5D94EE7D949DCC (combination_id), INDEX IDX_6A5D94EE6995AC4C (editor_id), UNIQUE INDEX one_of_each (combination_id, version), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE user (id INT AUTO_INCREMENT NOT NULL, password VARCHAR(255) NOT NULL, email VARCHAR(180) NOT NULL, name VARCHAR(80) NOT NULL, role VARCHAR(20) NOT NULL, UNIQUE INDEX UNIQ_8D93D649E7927C74 (email), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE combination ADD CONSTRAINT FK_DE091AAF6995AC4C FOREIGN KEY (editor_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE combination ADD CONSTRAINT FK_DE091AAFF675F31B FOREIGN KEY (author_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE combination_version ADD CONSTRAINT FK_6A5D94EE7D949DCC FOREIGN KEY (combination_id) REFERENCES combination (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE combination_version ADD CONSTRAINT FK_6A5D94EE6995AC4C FOREIGN KEY (editor_id) REFERENCES user (id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE combination DROP FOREIGN KEY FK_DE091AAF6995AC4C');
        $this->addSql('ALTER TABLE combination DROP FOREIGN KEY FK_DE091AAFF675F31B');
        $this->addSql('ALTER TABLE combination_version DROP FOREIGN KEY FK_6A5D94EE7D949DCC');
        $this->addSql('ALTER TABLE combination_version DROP FOREIGN KEY FK_6A5D94EE6995AC4C');
        $this->addSql('DROP TABLE combination');
        $this->addSql('DROP TABLE combination_version');
        $this->addSql('DROP TABLE user');
    }
}
