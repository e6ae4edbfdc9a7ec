ALTER TABLE `gaugings` ADD `pot` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `hone_passes` ADD `pot` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `makers_limits` ADD `pot` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `marks` ADD `pot` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `sleevings` ADD `pot` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `underlays` ADD `pot` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `verdicts` ADD `pot` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `units` ADD `more_pots` text DEFAULT '[]' NOT NULL;