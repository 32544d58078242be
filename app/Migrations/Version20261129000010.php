<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261129000010 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The gym of one\'s own: its kind, its week, what it trains, how far its setup is; links made on the machine itself';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE gym ADD version INT DEFAULT 1 NOT NULL, ADD kind VARCHAR(10) DEFAULT 'empty' NOT NULL, ADD first_weekday SMALLINT DEFAULT 1 NOT NULL, ADD training JSON DEFAULT NULL, ADD setup JSON DEFAULT NULL");
        $this->addSql("UPDATE gym SET kind = 'own' WHERE EXISTS (SELECT 1 FROM user)");
        $this->addSql("UPDATE gym SET kind = 'demo' WHERE EXISTS (SELECT 1 FROM user WHERE email = 'ines@saltworks.example')");
        // A link that was made on the machine itself has no coach as its maker.
        $this->addSql('ALTER TABLE invitation CHANGE maker_id maker_id INT DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DELETE FROM invitation WHERE maker_id IS NULL');
        $this->addSql('ALTER TABLE invitation CHANGE maker_id maker_id INT NOT NULL');
        $this->addSql('ALTER TABLE gym DROP version, DROP kind, DROP first_weekday, DROP training, DROP setup');
    }
}
