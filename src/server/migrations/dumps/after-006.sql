-- A data folder as schema 006 had it.
SET FOREIGN_KEY_CHECKS = 0;
CREATE TABLE `assets` (
  `hash` char(64) NOT NULL,
  `type` varchar(100) NOT NULL,
  `size` int(10) unsigned NOT NULL,
  `bytes` longblob NOT NULL,
  `kept_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  PRIMARY KEY (`hash`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `assets` (`hash`, `type`, `size`, `bytes`, `kept_at`) VALUES ('9a4487ccbedf68e53bfd4feff149a0fb4e7c47af7ebcdd80db1984dc5cf5abdf', 'text/css', 4, x'61207b7d', '2026-11-27 18:47:59.013');
CREATE TABLE `page_sources` (
  `hash` char(64) NOT NULL,
  `html` mediumtext NOT NULL,
  `kept_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  PRIMARY KEY (`hash`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `page_sources` (`hash`, `html`, `kept_at`) VALUES ('a6d346d68e3fce0ffd12e3330c173f7dd4820a131fe96fe2060c6a11ad3ddad0', '<!doctype html><html><head><title>Kept</title></head><body><p class=\"card\">A card</p></body></html>', '2026-11-27 18:47:59.008');
CREATE TABLE `presets` (
  `id` varchar(40) NOT NULL,
  `name` varchar(120) NOT NULL,
  `document` longtext NOT NULL CHECK (json_valid(`document`)),
  `saved_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  PRIMARY KEY (`id`),
  KEY `presets_by_name` (`name`,`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `presets` (`id`, `name`, `document`, `saved_at`) VALUES ('p1', 'A preset', '{}', '2026-11-27 18:47:59.044');
CREATE TABLE `run_days` (
  `day` date NOT NULL,
  PRIMARY KEY (`day`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `run_days` (`day`) VALUES ('2026-11-28');
CREATE TABLE `schema_migrations` (
  `name` varchar(100) NOT NULL,
  `applied_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  PRIMARY KEY (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `schema_migrations` (`name`, `applied_at`) VALUES ('001_sites.sql', '2026-11-27 18:47:58.992');
INSERT INTO `schema_migrations` (`name`, `applied_at`) VALUES ('002_assets.sql', '2026-11-27 18:47:59.012');
INSERT INTO `schema_migrations` (`name`, `applied_at`) VALUES ('003_removed_sites.sql', '2026-11-27 18:47:59.026');
INSERT INTO `schema_migrations` (`name`, `applied_at`) VALUES ('004_presets.sql', '2026-11-27 18:47:59.044');
INSERT INTO `schema_migrations` (`name`, `applied_at`) VALUES ('005_templates.sql', '2026-11-27 18:47:59.052');
INSERT INTO `schema_migrations` (`name`, `applied_at`) VALUES ('006_journal.sql', '2026-11-28 10:01:52.876');
CREATE TABLE `site_revisions` (
  `site_id` varchar(40) NOT NULL,
  `revision` int(10) unsigned NOT NULL,
  `document` longtext NOT NULL CHECK (json_valid(`document`)),
  `saved_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  `began_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  `window_id` varchar(40) DEFAULT NULL,
  `done` varchar(400) NOT NULL DEFAULT '',
  `name` varchar(120) DEFAULT NULL,
  PRIMARY KEY (`site_id`,`revision`),
  CONSTRAINT `site_revisions_ibfk_1` FOREIGN KEY (`site_id`) REFERENCES `sites` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `site_revisions` (`site_id`, `revision`, `document`, `saved_at`, `began_at`, `window_id`, `done`, `name`) VALUES ('kept', 1, '{\"format\":\"glass-moth/1\",\"name\":\"First name\",\"pages\":[{\"id\":\"page\",\"name\":\"Kept page\",\"source\":\"a6d346d68e3fce0ffd12e3330c173f7dd4820a131fe96fe2060c6a11ad3ddad0\"}],\"effects\":[{\"id\":\"lean\",\"kind\":\"tilt\",\"name\":\"Lean\",\"select\":\".card\",\"noun\":\"each card\",\"settings\":{\"acrossDeg\":9,\"upDownDeg\":9,\"linked\":true,\"edge\":\"sinks\",\"eyePx\":820,\"liftPx\":0,\"growPercent\":0,\"comeMs\":180,\"goMs\":320,\"follow\":{\"kind\":\"spring\",\"frequencyHz\":2.27,\"dampingRatio\":0.715},\"back\":null,\"away\":\"settle\",\"pose\":{\"x\":0,\"y\":0},\"vanishing\":\"own\",\"layers\":[],\"layersRise\":\"space\",\"sheenPercent\":0,\"sheenSizePercent\":110,\"sheenTravelPercent\":60,\"sheenSoftPercent\":80,\"sheenWay\":\"opposite\",\"sheenShape\":\"round\",\"sheenColour\":\"#ffffff\",\"sheenBlend\":\"normal\",\"shadowPx\":0,\"shadowSoftPx\":28,\"shadowColour\":\"rgb(16 18 22 / 0.34)\"}}]}', '2026-11-27 18:47:58.995', '2026-11-27 18:47:58.995', NULL, 'Beginning', 'A good state');
INSERT INTO `site_revisions` (`site_id`, `revision`, `document`, `saved_at`, `began_at`, `window_id`, `done`, `name`) VALUES ('kept', 2, '{\"format\":\"glass-moth/1\",\"name\":\"Kept site\",\"pages\":[{\"id\":\"page\",\"name\":\"Kept page\",\"source\":\"a6d346d68e3fce0ffd12e3330c173f7dd4820a131fe96fe2060c6a11ad3ddad0\"}],\"effects\":[{\"id\":\"lean\",\"kind\":\"tilt\",\"name\":\"Lean\",\"select\":\".card\",\"noun\":\"each card\",\"settings\":{\"acrossDeg\":9,\"upDownDeg\":9,\"linked\":true,\"edge\":\"sinks\",\"eyePx\":820,\"liftPx\":0,\"growPercent\":0,\"comeMs\":180,\"goMs\":320,\"follow\":{\"kind\":\"spring\",\"frequencyHz\":2.27,\"dampingRatio\":0.715},\"back\":null,\"away\":\"settle\",\"pose\":{\"x\":0,\"y\":0},\"vanishing\":\"own\",\"layers\":[],\"layersRise\":\"space\",\"sheenPercent\":0,\"sheenSizePercent\":110,\"sheenTravelPercent\":60,\"sheenSoftPercent\":80,\"sheenWay\":\"opposite\",\"sheenShape\":\"round\",\"sheenColour\":\"#ffffff\",\"sheenBlend\":\"normal\",\"shadowPx\":0,\"shadowSoftPx\":28,\"shadowColour\":\"rgb(16 18 22 / 0.34)\"}}]}', '2026-11-27 18:47:58.995', '2026-11-27 18:47:58.995', NULL, '', NULL);
CREATE TABLE `site_windows` (
  `site_id` varchar(40) NOT NULL,
  `window_id` varchar(40) NOT NULL,
  `last_number` int(10) unsigned NOT NULL,
  `saved_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  PRIMARY KEY (`site_id`,`window_id`),
  CONSTRAINT `site_windows_ibfk_1` FOREIGN KEY (`site_id`) REFERENCES `sites` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `site_windows` (`site_id`, `window_id`, `last_number`, `saved_at`) VALUES ('kept', 'a-window', 4, '2026-11-28 10:01:52.876');
CREATE TABLE `sites` (
  `id` varchar(40) NOT NULL,
  `name` varchar(120) NOT NULL,
  `position` int(11) NOT NULL DEFAULT 0,
  `revision` int(10) unsigned NOT NULL,
  `document` longtext NOT NULL CHECK (json_valid(`document`)),
  `saved_at` datetime(3) NOT NULL DEFAULT current_timestamp(3),
  `removed_at` datetime(3) DEFAULT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `sites` (`id`, `name`, `position`, `revision`, `document`, `saved_at`, `removed_at`) VALUES ('gone', 'Removed site', 2, 1, '{\"format\":\"glass-moth/1\",\"name\":\"Removed site\",\"pages\":[{\"id\":\"page\",\"name\":\"Kept page\",\"source\":\"a6d346d68e3fce0ffd12e3330c173f7dd4820a131fe96fe2060c6a11ad3ddad0\"}],\"effects\":[{\"id\":\"lean\",\"kind\":\"tilt\",\"name\":\"Lean\",\"select\":\".card\",\"noun\":\"each card\",\"settings\":{\"acrossDeg\":9,\"upDownDeg\":9,\"linked\":true,\"edge\":\"sinks\",\"eyePx\":820,\"liftPx\":0,\"growPercent\":0,\"comeMs\":180,\"goMs\":320,\"follow\":{\"kind\":\"spring\",\"frequencyHz\":2.27,\"dampingRatio\":0.715},\"back\":null,\"away\":\"settle\",\"pose\":{\"x\":0,\"y\":0},\"vanishing\":\"own\",\"layers\":[],\"layersRise\":\"space\",\"sheenPercent\":0,\"sheenSizePercent\":110,\"sheenTravelPercent\":60,\"sheenSoftPercent\":80,\"sheenWay\":\"opposite\",\"sheenShape\":\"round\",\"sheenColour\":\"#ffffff\",\"sheenBlend\":\"normal\",\"shadowPx\":0,\"shadowSoftPx\":28,\"shadowColour\":\"rgb(16 18 22 / 0.34)\"}}]}', '2026-11-27 18:47:59.028', '2026-11-20 10:00:00.000');
INSERT INTO `sites` (`id`, `name`, `position`, `revision`, `document`, `saved_at`, `removed_at`) VALUES ('kept', 'Kept site', 1, 2, '{\"format\":\"glass-moth/1\",\"name\":\"Kept site\",\"pages\":[{\"id\":\"page\",\"name\":\"Kept page\",\"source\":\"a6d346d68e3fce0ffd12e3330c173f7dd4820a131fe96fe2060c6a11ad3ddad0\"}],\"effects\":[{\"id\":\"lean\",\"kind\":\"tilt\",\"name\":\"Lean\",\"select\":\".card\",\"noun\":\"each card\",\"settings\":{\"acrossDeg\":9,\"upDownDeg\":9,\"linked\":true,\"edge\":\"sinks\",\"eyePx\":820,\"liftPx\":0,\"growPercent\":0,\"comeMs\":180,\"goMs\":320,\"follow\":{\"kind\":\"spring\",\"frequencyHz\":2.27,\"dampingRatio\":0.715},\"back\":null,\"away\":\"settle\",\"pose\":{\"x\":0,\"y\":0},\"vanishing\":\"own\",\"layers\":[],\"layersRise\":\"space\",\"sheenPercent\":0,\"sheenSizePercent\":110,\"sheenTravelPercent\":60,\"sheenSoftPercent\":80,\"sheenWay\":\"opposite\",\"sheenShape\":\"round\",\"sheenColour\":\"#ffffff\",\"sheenBlend\":\"normal\",\"shadowPx\":0,\"shadowSoftPx\":28,\"shadowColour\":\"rgb(16 18 22 / 0.34)\"}}]}', '2026-11-27 18:47:58.994', NULL);
CREATE TABLE `templates` (
  `id` varchar(40) NOT NULL,
  `name` varchar(120) NOT NULL,
  `document` longtext NOT NULL CHECK (json_valid(`document`)),
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin;
INSERT INTO `templates` (`id`, `name`, `document`) VALUES ('t1', 'A template', '{\"format\":\"glass-moth/1\",\"name\":\"A template\",\"pages\":[{\"id\":\"page\",\"name\":\"Kept page\",\"source\":\"a6d346d68e3fce0ffd12e3330c173f7dd4820a131fe96fe2060c6a11ad3ddad0\"}],\"effects\":[{\"id\":\"lean\",\"kind\":\"tilt\",\"name\":\"Lean\",\"select\":\".card\",\"noun\":\"each card\",\"settings\":{\"acrossDeg\":9,\"upDownDeg\":9,\"linked\":true,\"edge\":\"sinks\",\"eyePx\":820,\"liftPx\":0,\"growPercent\":0,\"comeMs\":180,\"goMs\":320,\"follow\":{\"kind\":\"spring\",\"frequencyHz\":2.27,\"dampingRatio\":0.715},\"back\":null,\"away\":\"settle\",\"pose\":{\"x\":0,\"y\":0},\"vanishing\":\"own\",\"layers\":[],\"layersRise\":\"space\",\"sheenPercent\":0,\"sheenSizePercent\":110,\"sheenTravelPercent\":60,\"sheenSoftPercent\":80,\"sheenWay\":\"opposite\",\"sheenShape\":\"round\",\"sheenColour\":\"#ffffff\",\"sheenBlend\":\"normal\",\"shadowPx\":0,\"shadowSoftPx\":28,\"shadowColour\":\"rgb(16 18 22 / 0.34)\"}}]}');
