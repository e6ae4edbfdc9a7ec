CREATE TABLE `case_tries` (
	`id` text PRIMARY KEY NOT NULL,
	`case_id` text NOT NULL,
	`person_id` text NOT NULL,
	`at` integer NOT NULL,
	`right` integer NOT NULL,
	FOREIGN KEY (`case_id`) REFERENCES `practice_cases`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `case_tries_person` ON `case_tries` (`person_id`,`case_id`);--> statement-breakpoint
CREATE TABLE `practice_cases` (
	`id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`by_id` text NOT NULL,
	`asked` text NOT NULL,
	`photo_ids` text NOT NULL,
	`words` text NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`by_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `practice_jobs` (
	`job` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`person_id` text NOT NULL,
	`family` text NOT NULL,
	`seed` integer NOT NULL,
	`begun_at` integer NOT NULL,
	`ended_at` integer,
	`compared` text,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `practice_jobs_id_unique` ON `practice_jobs` (`id`);--> statement-breakpoint
CREATE INDEX `practice_jobs_person` ON `practice_jobs` (`person_id`,`begun_at`);--> statement-breakpoint
CREATE TABLE `skill_signs` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`station` text NOT NULL,
	`at` integer NOT NULL,
	`by_id` text NOT NULL,
	`words` text NOT NULL,
	`practised` integer NOT NULL,
	`until` integer,
	`ended_at` integer,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `skill_signs_person` ON `skill_signs` (`person_id`,`station`);--> statement-breakpoint
CREATE TABLE `stand_bys` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`station` text NOT NULL,
	`person_id` text NOT NULL,
	`with_id` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`with_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stand_bys_unit` ON `stand_bys` (`unit_id`,`station`,`person_id`);--> statement-breakpoint
CREATE TABLE `station_skills` (
	`station` text PRIMARY KEY NOT NULL,
	`asks` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `practice_tries` ADD `family` text;