ALTER TABLE `hone_passes` ADD `body_temp_c` real;--> statement-breakpoint
ALTER TABLE `unit_events` ADD `digest` text;