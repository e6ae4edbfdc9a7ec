ALTER TABLE `instruments` ADD `from_mm` real;--> statement-breakpoint
ALTER TABLE `instruments` ADD `to_mm` real;