CREATE TABLE `entry_codes` (
	`person_id` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `wrong_pins` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` text NOT NULL,
	`place` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `wrong_pins_place` ON `wrong_pins` (`place`,`at`);--> statement-breakpoint
CREATE INDEX `wrong_pins_at` ON `wrong_pins` (`at`);--> statement-breakpoint
CREATE TABLE `api_tokens` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`scope` text NOT NULL,
	`hash` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`last_used_at` integer,
	`withdrawn_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `api_tokens_hash_unique` ON `api_tokens` (`hash`);--> statement-breakpoint
CREATE TABLE `backups` (
	`id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`path` text NOT NULL,
	`bytes` integer NOT NULL,
	`verified_at` integer,
	`fault` text
);
--> statement-breakpoint
CREATE TABLE `shop_events` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`kind` text NOT NULL,
	`about` text NOT NULL,
	`lines` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `shop_settings` (
	`version` integer PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`settings` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `people` ADD `left_at` integer;--> statement-breakpoint
ALTER TABLE `people` ADD `work` text;