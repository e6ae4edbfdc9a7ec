CREATE TABLE `quotes` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`valid_until` integer NOT NULL,
	`words` text NOT NULL,
	`options` text NOT NULL,
	`key` text NOT NULL,
	`questions` text NOT NULL,
	`answer` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `quotes_key_unique` ON `quotes` (`key`);--> statement-breakpoint
CREATE INDEX `quotes_unit` ON `quotes` (`unit_id`);