CREATE TABLE `drafts` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`supposed` text NOT NULL,
	`person_id` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pins` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`kind` text NOT NULL,
	`person_id` text,
	`not_before_at` integer,
	`why` text NOT NULL,
	`made_by` text NOT NULL,
	`made_at` integer NOT NULL,
	`ended_by` text,
	`ended_at` integer,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pins_open` ON `pins` (`ended_at`);--> statement-breakpoint
CREATE INDEX `pins_unit` ON `pins` (`unit_id`);--> statement-breakpoint
CREATE TABLE `said_times` (
	`family` text NOT NULL,
	`way` text NOT NULL,
	`station` text NOT NULL,
	`minutes` real NOT NULL,
	`person_id` text NOT NULL,
	`at` integer NOT NULL,
	PRIMARY KEY(`family`, `way`, `station`)
);
--> statement-breakpoint
CREATE TABLE `taught_units` (
	`unit_id` text PRIMARY KEY NOT NULL,
	`way` text NOT NULL,
	`minutes` text NOT NULL,
	`waits` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `taught_units_at` ON `taught_units` (`at`);--> statement-breakpoint
ALTER TABLE `units` ADD `held_at` integer;--> statement-breakpoint
CREATE INDEX `units_held` ON `units` (`held_at`,`exit_at`);