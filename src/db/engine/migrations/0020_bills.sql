CREATE TABLE `bills` (
	`number` integer PRIMARY KEY NOT NULL,
	`event_id` text NOT NULL,
	`unit_id` text NOT NULL,
	`customer_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`kind` text NOT NULL,
	`of` integer,
	`reason` text DEFAULT '' NOT NULL,
	`to` text NOT NULL,
	`tag` text NOT NULL,
	`unit` text NOT NULL,
	`machine` text NOT NULL,
	`way` text NOT NULL,
	`charges` text NOT NULL,
	`total_cents` integer NOT NULL,
	`handed_to` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `bills_eventId_unique` ON `bills` (`event_id`);--> statement-breakpoint
CREATE INDEX `bills_unit` ON `bills` (`unit_id`);--> statement-breakpoint
CREATE INDEX `bills_customer` ON `bills` (`customer_id`);--> statement-breakpoint
CREATE INDEX `bills_at` ON `bills` (`at`);--> statement-breakpoint
CREATE TABLE `payments` (
	`id` text PRIMARY KEY NOT NULL,
	`bill` integer NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`cents` integer NOT NULL,
	`how` text NOT NULL,
	FOREIGN KEY (`bill`) REFERENCES `bills`(`number`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `payments_bill` ON `payments` (`bill`);--> statement-breakpoint
CREATE INDEX `payments_at` ON `payments` (`at`);