CREATE TABLE `tallies` (
	`subject` text NOT NULL,
	`what` text NOT NULL,
	`n` integer NOT NULL,
	`changed_at` integer NOT NULL,
	PRIMARY KEY(`subject`, `what`)
);
--> statement-breakpoint
CREATE INDEX `tallies_changed` ON `tallies` (`changed_at`);--> statement-breakpoint
INSERT INTO `tallies` SELECT 'left', '', count(*), coalesce(max(`exit_at`), 0) FROM `units` WHERE `exit` IS NOT NULL HAVING count(*) > 0;--> statement-breakpoint
CREATE TEMP VIEW `confirmed` AS SELECT `f`.`unit_id`, `f`.`name`, `u`.`job_id`, coalesce(`u`.`exit_at`, 0) AS `at` FROM `findings` `f` JOIN `units` `u` ON `u`.`id` = `f`.`unit_id` WHERE `u`.`exit` IS NOT NULL AND `f`.`about` = 'cause' AND `f`.`answer` = 'yes';--> statement-breakpoint
INSERT INTO `tallies` SELECT 'causes', '', count(DISTINCT `unit_id`), max(`at`) FROM `confirmed` HAVING count(*) > 0;--> statement-breakpoint
INSERT INTO `tallies` SELECT 'causes', `name`, count(*), max(`at`) FROM `confirmed` GROUP BY `name`;--> statement-breakpoint
INSERT INTO `tallies` SELECT 'causes', `c`.`name` || ' ' || `s`.`value`, count(*), max(`at`) FROM `confirmed` `c` JOIN `jobs` `j` ON `j`.`id` = `c`.`job_id`, json_each(`j`.`complaints`) `s` GROUP BY 2;--> statement-breakpoint
DROP VIEW `confirmed`;--> statement-breakpoint
INSERT INTO `tallies` SELECT 'fitment ' || `i`.`fitment_id`, '', count(*), max(`u`.`exit_at`) FROM `identities` `i` JOIN `units` `u` ON `u`.`id` = `i`.`unit_id` WHERE `u`.`exit` = 'released' GROUP BY 1;--> statement-breakpoint
INSERT INTO `tallies` SELECT 'fitment ' || `i`.`fitment_id`, `m`.`key` || ' ' || CASE `m`.`type` WHEN 'object' THEN json_extract(`m`.`value`, '$.value') WHEN 'text' THEN json_quote(`m`.`value`) ELSE `m`.`value` END, count(*), max(`u`.`exit_at`) FROM `identities` `i` JOIN `units` `u` ON `u`.`id` = `i`.`unit_id`, json_each(`i`.`measured`) `m` WHERE `u`.`exit` = 'released' AND `m`.`type` <> 'null' GROUP BY 1, 2;--> statement-breakpoint
CREATE VIRTUAL TABLE `unit_grams` USING fts5(`text`, tokenize = 'trigram', content = '', contentless_delete = 1);--> statement-breakpoint
CREATE VIRTUAL TABLE `unit_words` USING fts5(`text`, tokenize = 'unicode61', prefix = '1 2', content = '', contentless_delete = 1);--> statement-breakpoint
CREATE VIEW `unit_texts` AS SELECT `u`.`tag_no`, `u`.`job_id`, `j`.`customer_id`, `j`.`machine` || char(10) || `c`.`name` || char(10) || `u`.`identity_marks` AS `text` FROM `units` `u` JOIN `jobs` `j` ON `j`.`id` = `u`.`job_id` JOIN `customers` `c` ON `c`.`id` = `j`.`customer_id`;--> statement-breakpoint
INSERT INTO `unit_grams` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts`;--> statement-breakpoint
INSERT INTO `unit_words` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts`;--> statement-breakpoint
CREATE TRIGGER `unit_found_added` AFTER INSERT ON `units` BEGIN
  INSERT INTO `unit_grams` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `tag_no` = new.`tag_no`;
  INSERT INTO `unit_words` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `tag_no` = new.`tag_no`;
END;--> statement-breakpoint
CREATE TRIGGER `unit_found_gone` AFTER DELETE ON `units` BEGIN
  DELETE FROM `unit_grams` WHERE `rowid` = old.`tag_no`;
  DELETE FROM `unit_words` WHERE `rowid` = old.`tag_no`;
END;--> statement-breakpoint
CREATE TRIGGER `unit_found_changed` AFTER UPDATE OF `identity_marks`, `job_id`, `tag_no` ON `units` BEGIN
  DELETE FROM `unit_grams` WHERE `rowid` = old.`tag_no`;
  DELETE FROM `unit_words` WHERE `rowid` = old.`tag_no`;
  INSERT INTO `unit_grams` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `tag_no` = new.`tag_no`;
  INSERT INTO `unit_words` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `tag_no` = new.`tag_no`;
END;--> statement-breakpoint
CREATE TRIGGER `unit_found_machine` AFTER UPDATE OF `machine`, `customer_id` ON `jobs` BEGIN
  DELETE FROM `unit_grams` WHERE `rowid` IN (SELECT `tag_no` FROM `units` WHERE `job_id` = new.`id`);
  DELETE FROM `unit_words` WHERE `rowid` IN (SELECT `tag_no` FROM `units` WHERE `job_id` = new.`id`);
  INSERT INTO `unit_grams` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `job_id` = new.`id`;
  INSERT INTO `unit_words` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `job_id` = new.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `unit_found_customer` AFTER UPDATE OF `name` ON `customers` BEGIN
  DELETE FROM `unit_grams` WHERE `rowid` IN (SELECT `tag_no` FROM `unit_texts` WHERE `customer_id` = new.`id`);
  DELETE FROM `unit_words` WHERE `rowid` IN (SELECT `tag_no` FROM `unit_texts` WHERE `customer_id` = new.`id`);
  INSERT INTO `unit_grams` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `customer_id` = new.`id`;
  INSERT INTO `unit_words` (`rowid`, `text`) SELECT `tag_no`, `text` FROM `unit_texts` WHERE `customer_id` = new.`id`;
END;
