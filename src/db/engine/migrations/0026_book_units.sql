CREATE TABLE `book_units` (
	`unit_id` text PRIMARY KEY NOT NULL,
	`tag_no` integer NOT NULL,
	`exit` text NOT NULL,
	`exit_at` integer NOT NULL,
	`family` text NOT NULL,
	`material` text NOT NULL,
	`way` text NOT NULL,
	`back_at` integer,
	`school` text,
	`margin_mm` real,
	`confidence` real,
	`rules_version` integer,
	`programme` integer,
	`rig` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `book_units_when` ON `book_units` (`exit_at`,`tag_no`,`family`,`material`,`exit`,`way`,`back_at`,`unit_id`);--> statement-breakpoint
CREATE INDEX `book_units_tag` ON `book_units` (`tag_no`);--> statement-breakpoint
CREATE INDEX `book_units_exit` ON `book_units` (`exit`,`exit_at`,`unit_id`,`rules_version`);--> statement-breakpoint
CREATE TABLE `foreign_photos` (
	`id` text PRIMARY KEY NOT NULL,
	`foreign_id` text NOT NULL,
	`photo_id` text NOT NULL,
	`hash` text NOT NULL,
	FOREIGN KEY (`foreign_id`) REFERENCES `foreign_lives`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `foreign_photos_life` ON `foreign_photos` (`foreign_id`);--> statement-breakpoint
DROP INDEX `units_held`;--> statement-breakpoint
CREATE INDEX `units_held` ON `units` (`exit`,`held_at`,`exit_at`);--> statement-breakpoint
CREATE INDEX `bags_number` ON `bags` (`number`,`unit_id`);--> statement-breakpoint
CREATE INDEX `bags_lot_code` ON `bags` (`lot_code`,`unit_id`);--> statement-breakpoint
CREATE INDEX `bags_faulty` ON `bags` (`number`,`lot_code`) WHERE findings <> '[]';--> statement-breakpoint
CREATE INDEX `findings_name` ON `findings` (`about`,`name`,`answer`,`unit_id`);--> statement-breakpoint
CREATE INDEX `treatments_state` ON `treatments` (`state`,`method`,`at`);
--> statement-breakpoint
CREATE VIEW `book_now` AS SELECT `u`.`id` AS `unit_id`, `u`.`tag_no`, `u`.`exit`, `u`.`exit_at`, `u`.`family`, `u`.`material`,
	coalesce((SELECT `t`.`way` FROM `taught_units` `t` WHERE `t`.`unit_id` = `u`.`id`), `u`.`outcome`, 'no-bore') AS `way`,
	(SELECT min(`b`.`created_at`) FROM `units` `b` WHERE `b`.`comes_back_from` = `u`.`id`) AS `back_at`,
	json_extract(`v`.`input`, '$.school') AS `school`,
	coalesce(json_extract(`v`.`answer`, '$.marginMm'), json_extract(`v`.`answer`, '$.limitDiaMm') - coalesce(json_extract(`v`.`answer`, '$.gauge.expandedUncertaintyMm'), 0) - coalesce(json_extract(`v`.`answer`, '$.decides.highMm'), json_extract(`v`.`answer`, '$.gauge.maxMm'))) AS `margin_mm`,
	(SELECT json_extract(`c`.`answer`, '$.confidence') FROM `verdicts` `c` WHERE `c`.`unit_id` = `u`.`id` AND json_extract(`c`.`answer`, '$.confidence') IS NOT NULL ORDER BY `c`.`at` DESC LIMIT 1) AS `confidence`,
	(SELECT `s`.`version` FROM `rule_sets` `s` WHERE `s`.`id` = `v`.`rule_set_id`) AS `rules_version`,
	(SELECT `r`.`programme` FROM `runs` `r` WHERE `r`.`unit_id` = `u`.`id` ORDER BY `r`.`started_at` DESC LIMIT 1) AS `programme`,
	(SELECT CASE WHEN max(`r`.`outcome` = 'fail') THEN 'failed' ELSE 'passed' END FROM `runs` `r` WHERE `r`.`unit_id` = `u`.`id` AND `r`.`outcome` IN ('pass', 'fail') GROUP BY `r`.`unit_id`) AS `rig`
FROM `units` `u` LEFT JOIN `verdicts` `v` ON `v`.`id` = (SELECT `x`.`id` FROM `verdicts` `x` WHERE `x`.`unit_id` = `u`.`id` ORDER BY `x`.`at` DESC LIMIT 1)
WHERE `u`.`exit` IS NOT NULL AND `u`.`exit_at` IS NOT NULL;
--> statement-breakpoint
INSERT INTO `book_units` SELECT * FROM `book_now`;
--> statement-breakpoint
CREATE TRIGGER `book_unit_added` AFTER INSERT ON `units` WHEN new.`exit` IS NOT NULL BEGIN
	INSERT INTO `book_units` SELECT * FROM `book_now` WHERE `unit_id` = new.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_changed` AFTER UPDATE OF `exit`, `exit_at`, `family`, `material`, `outcome`, `tag_no` ON `units` WHEN old.`exit` IS NOT NULL OR new.`exit` IS NOT NULL BEGIN
	DELETE FROM `book_units` WHERE `unit_id` = old.`id`;
	INSERT INTO `book_units` SELECT * FROM `book_now` WHERE `unit_id` = new.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_gone` BEFORE DELETE ON `units` BEGIN
	DELETE FROM `book_units` WHERE `unit_id` = old.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_back` AFTER INSERT ON `units` WHEN new.`comes_back_from` IS NOT NULL BEGIN
	UPDATE `book_units` SET `back_at` = (SELECT min(`b`.`created_at`) FROM `units` `b` WHERE `b`.`comes_back_from` = `book_units`.`unit_id`) WHERE `unit_id` = new.`comes_back_from`;
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_back_changed` AFTER UPDATE OF `comes_back_from` ON `units` BEGIN
	UPDATE `book_units` SET `back_at` = (SELECT min(`b`.`created_at`) FROM `units` `b` WHERE `b`.`comes_back_from` = `book_units`.`unit_id`) WHERE `unit_id` IN (old.`comes_back_from`, new.`comes_back_from`);
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_back_gone` AFTER DELETE ON `units` WHEN old.`comes_back_from` IS NOT NULL BEGIN
	UPDATE `book_units` SET `back_at` = (SELECT min(`b`.`created_at`) FROM `units` `b` WHERE `b`.`comes_back_from` = `book_units`.`unit_id`) WHERE `unit_id` = old.`comes_back_from`;
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_taught` AFTER INSERT ON `taught_units` BEGIN
	UPDATE `book_units` SET `way` = new.`way` WHERE `unit_id` = new.`unit_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_taught_anew` AFTER UPDATE OF `way` ON `taught_units` BEGIN
	UPDATE `book_units` SET `way` = new.`way` WHERE `unit_id` = new.`unit_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `book_unit_untaught` AFTER DELETE ON `taught_units` BEGIN
	UPDATE `book_units` SET `way` = coalesce((SELECT `u`.`outcome` FROM `units` `u` WHERE `u`.`id` = old.`unit_id`), 'no-bore') WHERE `unit_id` = old.`unit_id`;
END;
