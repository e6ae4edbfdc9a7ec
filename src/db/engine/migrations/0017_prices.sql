CREATE TABLE `price_lists` (
	`version` integer PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`note` text NOT NULL,
	`prices` text NOT NULL
);
