ALTER TABLE `instruments` ADD `branch` text;--> statement-breakpoint
ALTER TABLE `people` ADD `branch` text;--> statement-breakpoint
ALTER TABLE `units` ADD `branch` text;--> statement-breakpoint
ALTER TABLE `units` ADD `goes_to` text;