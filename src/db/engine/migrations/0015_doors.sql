CREATE TABLE `signed_in_from` (
	`person_id` text NOT NULL,
	`place` text NOT NULL,
	`at` integer NOT NULL,
	PRIMARY KEY(`person_id`, `place`),
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `wrong_pins_person` ON `wrong_pins` (`person_id`,`at`);--> statement-breakpoint
ALTER TABLE `people` DROP COLUMN `failed_pins`;--> statement-breakpoint
ALTER TABLE `people` DROP COLUMN `locked_until`;