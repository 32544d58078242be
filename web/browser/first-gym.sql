-- A gym as the first version of Periplus that landed kept it: three accounts of the demo, 24 combinations of which one is
-- archived, and three of them in use a second time, which later versions refuse.

/*!40101 SET @OLD_CHARACTER_SET_CLIENT=@@CHARACTER_SET_CLIENT */;
/*!40101 SET @OLD_CHARACTER_SET_RESULTS=@@CHARACTER_SET_RESULTS */;
/*!40101 SET @OLD_COLLATION_CONNECTION=@@COLLATION_CONNECTION */;
/*!40101 SET NAMES utf8mb4 */;
/*!40103 SET @OLD_TIME_ZONE=@@TIME_ZONE */;
/*!40103 SET TIME_ZONE='+00:00' */;
/*!40014 SET @OLD_UNIQUE_CHECKS=@@UNIQUE_CHECKS, UNIQUE_CHECKS=0 */;
/*!40014 SET @OLD_FOREIGN_KEY_CHECKS=@@FOREIGN_KEY_CHECKS, FOREIGN_KEY_CHECKS=0 */;
/*!40101 SET @OLD_SQL_MODE=@@SQL_MODE, SQL_MODE='NO_AUTO_VALUE_ON_ZERO' */;
/*!40111 SET @OLD_SQL_NOTES=@@SQL_NOTES, SQL_NOTES=0 */;
DROP TABLE IF EXISTS `combination`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `combination` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `version` int(11) NOT NULL DEFAULT 1,
  `name` varchar(120) NOT NULL,
  `notation` text NOT NULL,
  `stance` varchar(10) NOT NULL,
  `rules` varchar(20) NOT NULL,
  `themes` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`themes`)),
  `level` smallint(6) NOT NULL,
  `note` text NOT NULL,
  `fingerprint` varchar(32) NOT NULL,
  `fingerprint_with_effort` varchar(32) NOT NULL,
  `verdict` varchar(10) NOT NULL,
  `length_ms` int(11) NOT NULL,
  `words` text NOT NULL,
  `weapons` varchar(40) NOT NULL,
  `updated_at` datetime NOT NULL,
  `archived_at` datetime DEFAULT NULL,
  `created_at` datetime NOT NULL,
  `editor_id` int(11) NOT NULL,
  `author_id` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `IDX_DE091AAF6995AC4C` (`editor_id`),
  KEY `IDX_DE091AAFF675F31B` (`author_id`),
  KEY `by_name` (`archived_at`,`name`),
  KEY `by_fingerprint` (`fingerprint_with_effort`),
  CONSTRAINT `FK_DE091AAF6995AC4C` FOREIGN KEY (`editor_id`) REFERENCES `user` (`id`),
  CONSTRAINT `FK_DE091AAFF675F31B` FOREIGN KEY (`author_id`) REFERENCES `user` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=104 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `combination` WRITE;
/*!40000 ALTER TABLE `combination` DISABLE KEYS */;
INSERT INTO `combination` VALUES (1,1,'Open the door','1 2 exit','orthodox','boxing','[\"first week\",\"straight\"]',3,'','856179b9133e0b00b4fd01663d19dccf','856179b9133e0b00b4fd01663d19dccf','flows',850,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (2,1,'Double knock','1 1 2 step-back','orthodox','boxing','[\"first week\",\"range\"]',1,'','2f91f7000a78b5612bfbdbd57ca956c1','2f91f7000a78b5612bfbdbd57ca956c1','flows',1069,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (3,1,'Front porch','1 2 3 exit','orthodox','boxing','[\"first week\"]',1,'','d16f6ab13fddea972a1328008a17ccfa','d16f6ab13fddea972a1328008a17ccfa','flows',1230,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (4,1,'Ladder, third rung','1 2 3 2 circle-lead','orthodox','boxing','[\"ladder\"]',1,'','cb94f7a8784bc15ac284aa2241fca8e4','cb94f7a8784bc15ac284aa2241fca8e4','flows',1520,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (5,1,'Under the awning','1 2b exit','orthodox','boxing','[\"change of height\"]',1,'','a020a71722e2d89eb96db211ab2ee467','a020a71722e2d89eb96db211ab2ee467','flows',850,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (6,1,'Short stairs','1b 1 2 exit','orthodox','boxing','[\"change of height\"]',1,'','652ea3f2065f2c8cba27a2b314d1d4e9','652ea3f2065f2c8cba27a2b314d1d4e9','flows',1149,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (7,1,'Catch and answer','block-lead 2 3 exit','orthodox','boxing','[\"defence first\"]',1,'','c95b4219bca851ee0c1b30c5944c5977','c95b4219bca851ee0c1b30c5944c5977','flows',1160,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (8,1,'Cellar window','1 2 3b exit','orthodox','boxing','[\"liver\",\"change of height\"]',1,'','4eb855cf0ad7c836f7e1e2103ce9d02e','4eb855cf0ad7c836f7e1e2103ce9d02e','flows',1230,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (9,1,'Rope and pulley','1 6 3 exit','orthodox','boxing','[\"inside\"]',2,'','99df2f36e88fb71712d6ee13955c1e2b','99df2f36e88fb71712d6ee13955c1e2b','flows',1260,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (10,1,'Lift the latch','1 2 5 2 exit','orthodox','boxing','[\"inside\"]',2,'','c67092dc400290e4f4e5097359bbc64f','c67092dc400290e4f4e5097359bbc64f','flows',1520,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (11,1,'Slip and pay','1 2 slip-lead 3 2 exit','orthodox','boxing','[\"slips\",\"counter\"]',2,'','0d72325e5a9e5311996aafed78314486','0d72325e5a9e5311996aafed78314486','flows',1760,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (12,1,'Harbour wall','slip-rear 2 3 2 pivot-out','orthodox','boxing','[\"slips\",\"angle\"]',2,'','50946f5428c90788a087669e1df7ee84','50946f5428c90788a087669e1df7ee84','flows',1480,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (13,1,'Barrel roll','1 2 3 roll-rear 4 3 exit','orthodox','boxing','[\"rolls\"]',2,'','aa0432d4966675c20cdeddf1436fb42f','aa0432d4966675c20cdeddf1436fb42f','flows',2280,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (14,1,'Turn the key','1 2 roll-lead 3b 3 exit','orthodox','boxing','[\"rolls\",\"liver\"]',2,'Stops on purpose between the two hooks: same hand, same hips. Throw it slowly and feel the reload, then put a cross between.','ca0cbc3b05ecc9668d113b0b5258709b','ca0cbc3b05ecc9668d113b0b5258709b','reload',2311,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (15,1,'Tide out, tide in','1 pull 2 3 2 exit','orthodox','boxing','[\"counter\"]',2,'','88a8d6565682fcb585ec5893e6e7d54b','88a8d6565682fcb585ec5893e6e7d54b','flows',1850,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (16,1,'Two doors','(1) 2b 3 exit','orthodox','boxing','[\"feint\"]',2,'','200beec00fd47a4c558ce32e8c64cc6b','200beec00fd47a4c558ce32e8c64cc6b','flows',1130,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (17,1,'Lantern','1 (3) 6 3 step-back','orthodox','boxing','[\"feint\",\"inside\"]',3,'','e7fe4fe7d599031c18700a667aefa2c0','e7fe4fe7d599031c18700a667aefa2c0','flows',1414,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (18,1,'Long haul','1 2 3 roll-rear 2 3b 2 pivot-out','orthodox','boxing','[\"rolls\",\"angle\"]',3,'','7f18102a8867fb989b51e4317c11debd','7f18102a8867fb989b51e4317c11debd','flows',2500,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (19,1,'Corner post','step-out 1 2 pivot-out 2 3 exit','orthodox','boxing','[\"angle\"]',3,'','65d98883f5d947ca950d63722c67e362','65d98883f5d947ca950d63722c67e362','flows',2094,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (20,1,'Quick, quick, hard','1~ 2~ 3b 2! exit','orthodox','boxing','[\"accelerate\"]',2,'','8c548c4077d50f682d3ede1f66f7c0d5','23520685e7b47be1c1847af474b23003','flows',1520,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (21,1,'Drum fill','5b~ 6b~ 5b~ 6b~ 3! exit','orthodox','boxing','[\"inside\",\"accelerate\"]',2,'','a4e523b03a564650c23f6bd89744f3de','e18a45ea7054c4f4ab535dad252fe950','flows',1890,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (22,1,'Over the fence','1 8 3 roll-rear exit','orthodox','boxing','[\"overhand\"]',3,'','6063c58e523615b5a806df9634ef22fb','6063c58e523615b5a806df9634ef22fb','flows',1710,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,2);
INSERT INTO `combination` VALUES (23,1,'Hammer and nail','2 2 exit','orthodox','boxing','[\"to understand\"]',1,'Breaks the rhythm on purpose: two crosses in a row. Show the class why the hips have to come back before the second.','9b214833e13bfaafdfcdce7c9d1ea5c8','9b214833e13bfaafdfcdce7c9d1ea5c8','reload',1250,'',',hand,','2026-11-24 10:00:00',NULL,'2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (24,1,'Three on one nail','2 2 2 exit','orthodox','boxing','[\"to understand\"]',2,'Breaks on purpose: three drives over the front foot. Let them feel where they end.','3e5c315d403d3e54754b563ca700015b','3e5c315d403d3e54754b563ca700015b','reload',1890,'',',hand,','2026-11-24 10:00:00','2026-11-24 12:00:00','2026-11-24 10:00:00',1,1);
INSERT INTO `combination` VALUES (101,1,'Open the door, once more','1 2 exit','orthodox','boxing','[\"first week\",\"straight\"]',1,'','856179b9133e0b00b4fd01663d19dccf','856179b9133e0b00b4fd01663d19dccf','flows',850,'',',hand,','2026-11-24 11:00:00',NULL,'2026-11-24 11:00:00',1,1);
INSERT INTO `combination` VALUES (102,1,'Double knock, once more','1 1 2 step-back','orthodox','boxing','[\"first week\",\"range\"]',1,'','2f91f7000a78b5612bfbdbd57ca956c1','2f91f7000a78b5612bfbdbd57ca956c1','flows',1069,'',',hand,','2026-11-24 11:00:00',NULL,'2026-11-24 11:00:00',1,1);
INSERT INTO `combination` VALUES (103,1,'Front porch, once more','1 2 3 exit','orthodox','boxing','[\"first week\"]',1,'','d16f6ab13fddea972a1328008a17ccfa','d16f6ab13fddea972a1328008a17ccfa','flows',1230,'',',hand,','2026-11-24 11:00:00',NULL,'2026-11-24 11:00:00',1,1);
/*!40000 ALTER TABLE `combination` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `combination_version`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `combination_version` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `content` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`content`)),
  `version` int(11) NOT NULL,
  `change_kind` varchar(12) NOT NULL,
  `created_at` datetime NOT NULL,
  `combination_id` int(11) NOT NULL,
  `editor_id` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `one_of_each` (`combination_id`,`version`),
  KEY `IDX_6A5D94EE7D949DCC` (`combination_id`),
  KEY `IDX_6A5D94EE6995AC4C` (`editor_id`),
  CONSTRAINT `FK_6A5D94EE6995AC4C` FOREIGN KEY (`editor_id`) REFERENCES `user` (`id`),
  CONSTRAINT `FK_6A5D94EE7D949DCC` FOREIGN KEY (`combination_id`) REFERENCES `combination` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=32 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `combination_version` WRITE;
/*!40000 ALTER TABLE `combination_version` DISABLE KEYS */;
INSERT INTO `combination_version` VALUES (1,'{\"name\": \"Open the door\", \"notation\": \"1 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"first week\", \"straight\"], \"level\": 3, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',1,1);
INSERT INTO `combination_version` VALUES (2,'{\"name\": \"Double knock\", \"notation\": \"1 1 2 step-back\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"first week\", \"range\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',2,1);
INSERT INTO `combination_version` VALUES (3,'{\"name\": \"Front porch\", \"notation\": \"1 2 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"first week\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',3,1);
INSERT INTO `combination_version` VALUES (4,'{\"name\": \"Ladder, third rung\", \"notation\": \"1 2 3 2 circle-lead\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"ladder\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',4,1);
INSERT INTO `combination_version` VALUES (5,'{\"name\": \"Under the awning\", \"notation\": \"1 2b exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"change of height\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',5,1);
INSERT INTO `combination_version` VALUES (6,'{\"name\": \"Short stairs\", \"notation\": \"1b 1 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"change of height\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',6,1);
INSERT INTO `combination_version` VALUES (7,'{\"name\": \"Catch and answer\", \"notation\": \"block-lead 2 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"defence first\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',7,1);
INSERT INTO `combination_version` VALUES (8,'{\"name\": \"Cellar window\", \"notation\": \"1 2 3b exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"liver\", \"change of height\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',8,1);
INSERT INTO `combination_version` VALUES (9,'{\"name\": \"Rope and pulley\", \"notation\": \"1 6 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"inside\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',9,1);
INSERT INTO `combination_version` VALUES (10,'{\"name\": \"Lift the latch\", \"notation\": \"1 2 5 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"inside\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',10,1);
INSERT INTO `combination_version` VALUES (11,'{\"name\": \"Slip and pay\", \"notation\": \"1 2 slip-lead 3 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"slips\", \"counter\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',11,1);
INSERT INTO `combination_version` VALUES (12,'{\"name\": \"Harbour wall\", \"notation\": \"slip-rear 2 3 2 pivot-out\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"slips\", \"angle\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',12,1);
INSERT INTO `combination_version` VALUES (13,'{\"name\": \"Barrel roll\", \"notation\": \"1 2 3 roll-rear 4 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"rolls\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',13,1);
INSERT INTO `combination_version` VALUES (14,'{\"name\": \"Turn the key\", \"notation\": \"1 2 roll-lead 3b 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"rolls\", \"liver\"], \"level\": 2, \"note\": \"Stops on purpose between the two hooks: same hand, same hips. Throw it slowly and feel the reload, then put a cross between.\"}',1,'created','2026-11-24 10:00:00',14,1);
INSERT INTO `combination_version` VALUES (15,'{\"name\": \"Tide out, tide in\", \"notation\": \"1 pull 2 3 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"counter\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',15,1);
INSERT INTO `combination_version` VALUES (16,'{\"name\": \"Two doors\", \"notation\": \"(1) 2b 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"feint\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',16,1);
INSERT INTO `combination_version` VALUES (17,'{\"name\": \"Lantern\", \"notation\": \"1 (3) 6 3 step-back\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"feint\", \"inside\"], \"level\": 3, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',17,1);
INSERT INTO `combination_version` VALUES (18,'{\"name\": \"Long haul\", \"notation\": \"1 2 3 roll-rear 2 3b 2 pivot-out\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"rolls\", \"angle\"], \"level\": 3, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',18,1);
INSERT INTO `combination_version` VALUES (19,'{\"name\": \"Corner post\", \"notation\": \"step-out 1 2 pivot-out 2 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"angle\"], \"level\": 3, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',19,1);
INSERT INTO `combination_version` VALUES (20,'{\"name\": \"Quick, quick, hard\", \"notation\": \"1~ 2~ 3b 2! exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"accelerate\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',20,1);
INSERT INTO `combination_version` VALUES (21,'{\"name\": \"Drum fill\", \"notation\": \"5b~ 6b~ 5b~ 6b~ 3! exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"inside\", \"accelerate\"], \"level\": 2, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',21,1);
INSERT INTO `combination_version` VALUES (22,'{\"name\": \"Over the fence\", \"notation\": \"1 8 3 roll-rear exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"overhand\"], \"level\": 3, \"note\": \"\"}',1,'created','2026-11-24 10:00:00',22,1);
INSERT INTO `combination_version` VALUES (23,'{\"name\": \"Hammer and nail\", \"notation\": \"2 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"to understand\"], \"level\": 1, \"note\": \"Breaks the rhythm on purpose: two crosses in a row. Show the class why the hips have to come back before the second.\"}',1,'created','2026-11-24 10:00:00',23,1);
INSERT INTO `combination_version` VALUES (24,'{\"name\": \"Three on one nail\", \"notation\": \"2 2 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"to understand\"], \"level\": 2, \"note\": \"Breaks on purpose: three drives over the front foot. Let them feel where they end.\"}',1,'created','2026-11-24 10:00:00',24,1);
INSERT INTO `combination_version` VALUES (25,'{\"name\": \"Open the door, once more\", \"notation\": \"1 2 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"first week\", \"straight\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 11:00:00',101,1);
INSERT INTO `combination_version` VALUES (26,'{\"name\": \"Double knock, once more\", \"notation\": \"1 1 2 step-back\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"first week\", \"range\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 11:00:00',102,1);
INSERT INTO `combination_version` VALUES (27,'{\"name\": \"Front porch, once more\", \"notation\": \"1 2 3 exit\", \"stance\": \"orthodox\", \"rules\": \"boxing\", \"themes\": [\"first week\"], \"level\": 1, \"note\": \"\"}',1,'created','2026-11-24 11:00:00',103,1);
/*!40000 ALTER TABLE `combination_version` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `doctrine_migration_versions`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `doctrine_migration_versions` (
  `version` varchar(191) NOT NULL,
  `executed_at` datetime DEFAULT NULL,
  `execution_time` int(11) DEFAULT NULL,
  PRIMARY KEY (`version`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `doctrine_migration_versions` WRITE;
/*!40000 ALTER TABLE `doctrine_migration_versions` DISABLE KEYS */;
INSERT INTO `doctrine_migration_versions` VALUES ('Periplus\\App\\Migrations\\Version20261124000001','2026-11-26 03:50:17',37);
/*!40000 ALTER TABLE `doctrine_migration_versions` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `user`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `user` (
  `id` int(11) NOT NULL AUTO_INCREMENT,
  `password` varchar(255) NOT NULL,
  `email` varchar(180) NOT NULL,
  `name` varchar(80) NOT NULL,
  `role` varchar(20) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `UNIQ_8D93D649E7927C74` (`email`)
) ENGINE=InnoDB AUTO_INCREMENT=4 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `user` WRITE;
/*!40000 ALTER TABLE `user` DISABLE KEYS */;
INSERT INTO `user` VALUES (1,'$2y$13$6rhp6wnMIt.dfJ5Ic82PHOvW3GemiVmt9r27AQwEQP0DQoHNRzdq2','ines@saltworks.example','Ines Varga','ROLE_HEAD_COACH');
INSERT INTO `user` VALUES (2,'$2y$13$t0RsRlUNMyf6LL9BAIS6zeX01YoIfMAV/CldVAwjw0U2ObJpjhiIS','tomas@saltworks.example','Tomas Okafor','ROLE_COACH');
INSERT INTO `user` VALUES (3,'$2y$13$KCSGifSdrvnx3TXiWSF1OeVbTrsDcaV0boI.WN4uX.ZusOQAgEwiK','liv@saltworks.example','Liv Aaltonen','ROLE_COACH');
/*!40000 ALTER TABLE `user` ENABLE KEYS */;
UNLOCK TABLES;
/*!40103 SET TIME_ZONE=@OLD_TIME_ZONE */;

/*!40101 SET SQL_MODE=@OLD_SQL_MODE */;
/*!40014 SET FOREIGN_KEY_CHECKS=@OLD_FOREIGN_KEY_CHECKS */;
/*!40014 SET UNIQUE_CHECKS=@OLD_UNIQUE_CHECKS */;
/*!40101 SET CHARACTER_SET_CLIENT=@OLD_CHARACTER_SET_CLIENT */;
/*!40101 SET CHARACTER_SET_RESULTS=@OLD_CHARACTER_SET_RESULTS */;
/*!40101 SET COLLATION_CONNECTION=@OLD_COLLATION_CONNECTION */;
/*!40111 SET SQL_NOTES=@OLD_SQL_NOTES */;

