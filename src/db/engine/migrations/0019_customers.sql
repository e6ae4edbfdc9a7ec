CREATE TABLE `customer_events` (
	`id` text PRIMARY KEY NOT NULL,
	`customer_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`what` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `customer_events_customer` ON `customer_events` (`customer_id`);--> statement-breakpoint
ALTER TABLE `outbox` ADD `subject` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `outbox` ADD `mail` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `outbox` ADD `state` text DEFAULT 'to-read' NOT NULL;--> statement-breakpoint
ALTER TABLE `outbox` ADD `tries` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `outbox` ADD `next_at` integer;--> statement-breakpoint
ALTER TABLE `outbox` ADD `done_at` integer;--> statement-breakpoint
ALTER TABLE `outbox` ADD `done_by` text;--> statement-breakpoint
ALTER TABLE `outbox` ADD `fault` text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX `outbox_due` ON `outbox` (`state`,`next_at`);--> statement-breakpoint
ALTER TABLE `customers` ADD `mail` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `customers` ADD `address` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `customers` ADD `edited_at` integer;--> statement-breakpoint
ALTER TABLE `customers` ADD `merged_into` text;--> statement-breakpoint
ALTER TABLE `customers` ADD `erased_at` integer;--> statement-breakpoint
CREATE INDEX `customers_edited` ON `customers` (`edited_at`);--> statement-breakpoint
CREATE INDEX `customers_merged` ON `customers` (`merged_into`);--> statement-breakpoint
UPDATE `outbox` SET `state` = 'read', `done_at` = `at`;--> statement-breakpoint
CREATE VIRTUAL TABLE `customer_grams` USING fts5(`text`, `id` UNINDEXED, tokenize = 'trigram');--> statement-breakpoint
CREATE VIRTUAL TABLE `customer_words` USING fts5(`text`, `id` UNINDEXED, tokenize = 'unicode61', prefix = '1 2');--> statement-breakpoint
INSERT INTO `customer_grams` (`customer_grams`, `rank`) VALUES ('secure-delete', 1);--> statement-breakpoint
INSERT INTO `customer_words` (`customer_words`, `rank`) VALUES ('secure-delete', 1);--> statement-breakpoint
INSERT INTO `customer_grams` (`text`, `id`) SELECT `name` || char(10) || `phone` || char(10) || `mail`, `id` FROM `customers`;--> statement-breakpoint
INSERT INTO `customer_words` (`text`, `id`) SELECT `name` || char(10) || `phone` || char(10) || `mail`, `id` FROM `customers`;--> statement-breakpoint
CREATE TRIGGER `customer_found_added` AFTER INSERT ON `customers` BEGIN
  INSERT INTO `customer_grams` (`text`, `id`) VALUES (new.`name` || char(10) || new.`phone` || char(10) || new.`mail`, new.`id`);
  INSERT INTO `customer_words` (`text`, `id`) VALUES (new.`name` || char(10) || new.`phone` || char(10) || new.`mail`, new.`id`);
END;--> statement-breakpoint
CREATE TRIGGER `customer_found_gone` AFTER DELETE ON `customers` BEGIN
  DELETE FROM `customer_grams` WHERE `id` = old.`id`;
  DELETE FROM `customer_words` WHERE `id` = old.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `customer_found_changed` AFTER UPDATE OF `name`, `phone`, `mail` ON `customers` BEGIN
  DELETE FROM `customer_grams` WHERE `id` = old.`id`;
  DELETE FROM `customer_words` WHERE `id` = old.`id`;
  INSERT INTO `customer_grams` (`text`, `id`) VALUES (new.`name` || char(10) || new.`phone` || char(10) || new.`mail`, new.`id`);
  INSERT INTO `customer_words` (`text`, `id`) VALUES (new.`name` || char(10) || new.`phone` || char(10) || new.`mail`, new.`id`);
END;
