ALTER TABLE `marks` ADD `seen_at` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `marks` SET `seen_at` = coalesce((SELECT max(v.`at`) FROM `verdicts` v WHERE v.`unit_id` = `marks`.`unit_id`), 0);
