ALTER TABLE `runs` ADD `read_to_bar` real;--> statement-breakpoint
ALTER TABLE `runs` ADD `read_to_ml` real;--> statement-breakpoint
UPDATE `runs` SET `read_to_bar` = CAST(substr(`rig`, 9) AS real), `rig` = '' WHERE `rig` LIKE 'read to % bar';--> statement-breakpoint
ALTER TABLE `treatments` ADD `drilling` text;--> statement-breakpoint
UPDATE `treatments` SET `drilling` = replace(substr(`note`, 1, length(`note`) - 5), ' ', '-') WHERE `method` = 'port-wire' AND `note` LIKE '% port';--> statement-breakpoint
UPDATE `treatments` SET `drilling` = (SELECT `id` FROM `parts` WHERE `parts`.`unit_id` = `treatments`.`unit_id` AND `parts`.`name` = `treatments`.`note`) WHERE `method` = 'bleed-wire';--> statement-breakpoint
UPDATE `parts` SET `goes_in` = NULL WHERE `goes_in` = 'null';--> statement-breakpoint
UPDATE `parts` SET `goes_in` = json_set(`goes_in`, '$.at', coalesce(`in_at`, 0), '$.fastened', json(coalesce(`fastened`, 'null'))) WHERE `goes_in` IS NOT NULL;--> statement-breakpoint
UPDATE `parts` SET `goes_in` = json_set(`goes_in`, '$.from', json('null')) WHERE json_extract(`goes_in`, '$.piece') = 'new';--> statement-breakpoint
ALTER TABLE `parts` DROP COLUMN `in_at`;--> statement-breakpoint
ALTER TABLE `parts` DROP COLUMN `fastened`;
