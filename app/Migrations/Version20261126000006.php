<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126000006 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Courses, plans of sessions with their versions, reminders and exercises, the time zone of the gym';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE gym ADD time_zone VARCHAR(40) DEFAULT 'UTC' NOT NULL, ADD calendar CHAR(32) DEFAULT '' NOT NULL");
        // What stands in calendars outside is told by it, so that it is never another.
        $this->addSql('UPDATE gym SET calendar = MD5(CONCAT(UUID(), RAND()))');
        $this->addSql('CREATE TABLE course (id INT AUTO_INCREMENT NOT NULL, version INT DEFAULT 1 NOT NULL, name VARCHAR(80) NOT NULL, content JSON NOT NULL, editor_id INT NOT NULL, updated_at DATETIME NOT NULL, archived_at DATETIME DEFAULT NULL, INDEX by_name (archived_at, name), INDEX by_editor (editor_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        // The start is in UTC; the day is the one of the gym.
        $this->addSql('CREATE TABLE plan (id INT AUTO_INCREMENT NOT NULL, version INT DEFAULT 1 NOT NULL, name VARCHAR(120) NOT NULL, course_id INT DEFAULT NULL, is_template TINYINT DEFAULT 0 NOT NULL, starts_at DATETIME DEFAULT NULL, length_ms INT NOT NULL, problems INT NOT NULL, content JSON NOT NULL, author_id INT NOT NULL, editor_id INT NOT NULL, created_at DATETIME NOT NULL, updated_at DATETIME NOT NULL, archived_at DATETIME DEFAULT NULL, INDEX by_start (archived_at, starts_at), INDEX by_course (course_id, starts_at), INDEX by_author (author_id), INDEX by_editor (editor_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE plan_version (plan_id INT NOT NULL, version INT NOT NULL, change_kind VARCHAR(12) NOT NULL, content JSON NOT NULL, editor_id INT NOT NULL, created_at DATETIME NOT NULL, INDEX by_editor (editor_id), PRIMARY KEY (plan_id, version)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE plan_presence (plan_id INT NOT NULL, user_id INT NOT NULL, seen_at DATETIME NOT NULL, INDEX by_user (user_id), PRIMARY KEY (plan_id, user_id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('CREATE TABLE advice (id VARCHAR(12) NOT NULL, version INT DEFAULT 1 NOT NULL, content JSON NOT NULL, editor_id INT NOT NULL, updated_at DATETIME NOT NULL, INDEX by_editor (editor_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE course ADD CONSTRAINT course_editor FOREIGN KEY (editor_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE plan ADD CONSTRAINT plan_course FOREIGN KEY (course_id) REFERENCES course (id), ADD CONSTRAINT plan_author FOREIGN KEY (author_id) REFERENCES user (id), ADD CONSTRAINT plan_editor FOREIGN KEY (editor_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE plan_version ADD CONSTRAINT plan_version_plan FOREIGN KEY (plan_id) REFERENCES plan (id) ON DELETE CASCADE, ADD CONSTRAINT plan_version_editor FOREIGN KEY (editor_id) REFERENCES user (id)');
        $this->addSql('ALTER TABLE plan_presence ADD CONSTRAINT plan_presence_plan FOREIGN KEY (plan_id) REFERENCES plan (id) ON DELETE CASCADE, ADD CONSTRAINT plan_presence_user FOREIGN KEY (user_id) REFERENCES user (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE advice ADD CONSTRAINT advice_editor FOREIGN KEY (editor_id) REFERENCES user (id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE plan_presence');
        $this->addSql('DROP TABLE plan_version');
        $this->addSql('DROP TABLE plan');
        $this->addSql('DROP TABLE course');
        $this->addSql('DROP TABLE advice');
        $this->addSql('ALTER TABLE gym DROP time_zone, DROP calendar');
    }
}
