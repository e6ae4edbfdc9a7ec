ALTER TABLE `units` ADD `complaints` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `units` ADD `complaint_text` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `units` SET (`complaints`, `complaint_text`) = (SELECT `j`.`complaints`, `j`.`complaint_text` FROM `jobs` `j` WHERE `j`.`id` = `units`.`job_id`);--> statement-breakpoint
ALTER TABLE `jobs` DROP COLUMN `complaints`;--> statement-breakpoint
ALTER TABLE `jobs` DROP COLUMN `complaint_text`;
