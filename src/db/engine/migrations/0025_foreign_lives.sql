CREATE TABLE `foreign_lives` (
	`id` text PRIMARY KEY NOT NULL,
	`tag` text NOT NULL,
	`shop` text NOT NULL,
	`at` integer NOT NULL,
	`by_id` text NOT NULL,
	`file` text NOT NULL,
	FOREIGN KEY (`by_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `foreign_lives_at` ON `foreign_lives` (`at`);