CREATE TABLE `shop_keys` (
	`id` text PRIMARY KEY NOT NULL,
	`public_key` text NOT NULL,
	`from_at` integer NOT NULL,
	`until_at` integer,
	`ended_by` text
);
--> statement-breakpoint
ALTER TABLE `certificates` ADD `key` text;--> statement-breakpoint
ALTER TABLE `certificates` ADD `signature` text;