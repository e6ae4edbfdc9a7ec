CREATE TABLE `bleeds` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`started_at` integer NOT NULL,
	`saved_at` integer NOT NULL,
	`method` text NOT NULL,
	`system` text NOT NULL,
	`events` text NOT NULL,
	`changes` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `bleeds_started` ON `bleeds` (`started_at`);--> statement-breakpoint
CREATE TABLE `fitting_keys` (
	`unit_id` text PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `fitting_keys_key_unique` ON `fitting_keys` (`key`);--> statement-breakpoint
CREATE TABLE `systems` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`fitment_id` text,
	`system` text NOT NULL,
	`changed_at` integer NOT NULL,
	`person_id` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `systems_fitment` ON `systems` (`fitment_id`);--> statement-breakpoint
CREATE INDEX `systems_changed` ON `systems` (`changed_at`);--> statement-breakpoint
INSERT INTO `fitting_keys` (`unit_id`, `key`) SELECT `id`, lower(hex(randomblob(16))) FROM `units`;--> statement-breakpoint
CREATE TRIGGER `units_fitting_key` AFTER INSERT ON `units` BEGIN
	INSERT INTO `fitting_keys` (`unit_id`, `key`) VALUES (new.`id`, lower(hex(randomblob(16)))) ON CONFLICT DO NOTHING;
END;
