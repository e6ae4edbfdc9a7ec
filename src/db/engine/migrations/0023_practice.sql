CREATE TABLE `practice_cards` (
	`person_id` text NOT NULL,
	`kind` text NOT NULL,
	`level` integer NOT NULL,
	`due_at` integer NOT NULL,
	`card` text NOT NULL,
	PRIMARY KEY(`person_id`, `kind`),
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `practice_tries` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`kind` text NOT NULL,
	`level` integer NOT NULL,
	`seed` integer NOT NULL,
	`at` integer NOT NULL,
	`right` integer NOT NULL,
	`hints` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `practice_tries_person` ON `practice_tries` (`person_id`,`at`);