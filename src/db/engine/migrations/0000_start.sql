CREATE TABLE `bench_records` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`kind` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`data` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bench_records_unit` ON `bench_records` (`unit_id`);--> statement-breakpoint
CREATE TABLE `torques` (
	`id` text PRIMARY KEY NOT NULL,
	`fitment_id` text,
	`family` text NOT NULL,
	`machine` text NOT NULL,
	`position` text NOT NULL,
	`slot_id` text NOT NULL,
	`nm` real NOT NULL,
	`hand` text NOT NULL,
	`source` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `torques_fitment` ON `torques` (`fitment_id`);--> statement-breakpoint
CREATE INDEX `torques_place` ON `torques` (`family`,`machine`);--> statement-breakpoint
CREATE TABLE `gaugings` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`body_temp_c` real,
	`gauge_temp_c` real,
	`instrument_id` text,
	`override` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `gaugings_unit` ON `gaugings` (`unit_id`,`at`);--> statement-breakpoint
CREATE TABLE `hone_passes` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`material` text NOT NULL,
	`tool` text NOT NULL,
	`drive` text NOT NULL,
	`grit` integer NOT NULL,
	`strokes` integer NOT NULL,
	`strokes_per_min` real NOT NULL,
	`rpm` real NOT NULL,
	`before_mm` real NOT NULL,
	`after_mm` real NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `hone_passes_unit` ON `hone_passes` (`unit_id`);--> statement-breakpoint
CREATE INDEX `hone_passes_material` ON `hone_passes` (`material`,`at`);--> statement-breakpoint
CREATE TABLE `instruments` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`created_at` integer NOT NULL,
	`token_hash` text,
	`retired_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `instruments_name_unique` ON `instruments` (`name`);--> statement-breakpoint
CREATE TABLE `makers_limits` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text,
	`family` text NOT NULL,
	`machine` text NOT NULL,
	`position` text NOT NULL,
	`max_dia_mm` real,
	`source` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `makers_limits_unit` ON `makers_limits` (`unit_id`);--> statement-breakpoint
CREATE INDEX `makers_limits_fitment` ON `makers_limits` (`family`,`machine`);--> statement-breakpoint
CREATE TABLE `marks` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`x0_mm` real NOT NULL,
	`x1_mm` real NOT NULL,
	`clock0_deg` real NOT NULL,
	`clock1_deg` real NOT NULL,
	`depth_um` real,
	`depth_uncertainty_um` real,
	`width_um` real,
	`cleaned` integer NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `marks_unit` ON `marks` (`unit_id`);--> statement-breakpoint
CREATE TABLE `readings` (
	`id` text PRIMARY KEY NOT NULL,
	`gauging_id` text NOT NULL,
	`seq` integer NOT NULL,
	`x_mm` real NOT NULL,
	`clock_deg` real NOT NULL,
	`dia_mm` real NOT NULL,
	FOREIGN KEY (`gauging_id`) REFERENCES `gaugings`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `readings_gauging` ON `readings` (`gauging_id`);--> statement-breakpoint
CREATE TABLE `ring_checks` (
	`id` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`ring_mm` real NOT NULL,
	`read_mm` real NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ring_checks_instrument` ON `ring_checks` (`instrument_id`,`at`);--> statement-breakpoint
CREATE TABLE `rule_sets` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`note` text NOT NULL,
	`rules` text NOT NULL,
	`schools` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `rule_sets_version_unique` ON `rule_sets` (`version`);--> statement-breakpoint
CREATE TABLE `sleevings` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`shop` text NOT NULL,
	`material` text NOT NULL,
	`wall_mm` real NOT NULL,
	`sent_at` integer NOT NULL,
	`promised_at` integer NOT NULL,
	`back_at` integer,
	`person_id` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sleevings_unit` ON `sleevings` (`unit_id`);--> statement-breakpoint
CREATE TABLE `underlays` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`photo_id` text NOT NULL,
	`points` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photo_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `verdicts` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`gauging_id` text,
	`rule_set_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`outcome` text NOT NULL,
	`input` text NOT NULL,
	`answer` text NOT NULL,
	`overrule` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`gauging_id`) REFERENCES `gaugings`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`rule_set_id`) REFERENCES `rule_sets`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `verdicts_unit` ON `verdicts` (`unit_id`,`at`);--> statement-breakpoint
CREATE TABLE `approvals` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`verdict_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`price` real NOT NULL,
	`promised_at` integer NOT NULL,
	`text` text NOT NULL,
	`answer` text,
	`answered_at` integer,
	`answered_to` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`verdict_id`) REFERENCES `verdicts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `approvals_unit` ON `approvals` (`unit_id`);--> statement-breakpoint
CREATE TABLE `outbox` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`at` integer NOT NULL,
	`to` text NOT NULL,
	`text` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `outbox_at` ON `outbox` (`at`);--> statement-breakpoint
CREATE TABLE `articles` (
	`id` text PRIMARY KEY NOT NULL,
	`number` text NOT NULL,
	`type` text NOT NULL,
	`name` text NOT NULL,
	`price` real NOT NULL,
	`lead_days` integer,
	`note` text NOT NULL,
	`superseded_by` text,
	`reorder_at` integer,
	`items` text NOT NULL,
	`changed_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `articles_number_unique` ON `articles` (`number`);--> statement-breakpoint
CREATE INDEX `articles_changed` ON `articles` (`changed_at`);--> statement-breakpoint
CREATE TABLE `bags` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`article_id` text NOT NULL,
	`lot_id` text NOT NULL,
	`number` text NOT NULL,
	`name` text NOT NULL,
	`lot_code` text NOT NULL,
	`expires_at` integer,
	`qty` integer NOT NULL,
	`items` text NOT NULL,
	`at` integer NOT NULL,
	`opened_at` integer,
	`opened_by` text,
	`findings` text NOT NULL,
	`kept` text NOT NULL,
	`spoilt` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`article_id`) REFERENCES `articles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bags_unit` ON `bags` (`unit_id`);--> statement-breakpoint
CREATE INDEX `bags_lot` ON `bags` (`lot_id`);--> statement-breakpoint
CREATE TABLE `fitments` (
	`id` text PRIMARY KEY NOT NULL,
	`machine` text NOT NULL,
	`maker` text NOT NULL,
	`year_from` integer,
	`year_to` integer,
	`family` text NOT NULL,
	`position` text NOT NULL,
	`features` text NOT NULL,
	`kits` text NOT NULL,
	`note` text NOT NULL,
	`changed_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `fitments_changed` ON `fitments` (`changed_at`);--> statement-breakpoint
CREATE TABLE `identities` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`fitment_id` text NOT NULL,
	`label` text NOT NULL,
	`measured` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `identities_unit` ON `identities` (`unit_id`);--> statement-breakpoint
CREATE INDEX `identities_fitment` ON `identities` (`fitment_id`);--> statement-breakpoint
CREATE TABLE `imports` (
	`id` text PRIMARY KEY NOT NULL,
	`what` text NOT NULL,
	`file` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`added` integer NOT NULL,
	`changed` integer NOT NULL,
	`undo` text NOT NULL,
	`undone_at` integer
);
--> statement-breakpoint
CREATE TABLE `lots` (
	`id` text PRIMARY KEY NOT NULL,
	`article_id` text NOT NULL,
	`code` text NOT NULL,
	`received_at` integer NOT NULL,
	`expires_at` integer,
	`fault` text NOT NULL,
	`changed_at` integer NOT NULL,
	FOREIGN KEY (`article_id`) REFERENCES `articles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lots_article` ON `lots` (`article_id`);--> statement-breakpoint
CREATE INDEX `lots_changed` ON `lots` (`changed_at`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` text PRIMARY KEY NOT NULL,
	`article_id` text NOT NULL,
	`unit_id` text,
	`timer_id` text,
	`qty` integer NOT NULL,
	`ordered_at` integer NOT NULL,
	`expected_at` integer NOT NULL,
	`person_id` text NOT NULL,
	`received_at` integer,
	FOREIGN KEY (`article_id`) REFERENCES `articles`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `orders_article` ON `orders` (`article_id`);--> statement-breakpoint
CREATE INDEX `orders_unit` ON `orders` (`unit_id`);--> statement-breakpoint
CREATE TABLE `stock_moves` (
	`id` text PRIMARY KEY NOT NULL,
	`article_id` text NOT NULL,
	`lot_id` text NOT NULL,
	`unit_id` text,
	`qty` integer NOT NULL,
	`reason` text NOT NULL,
	`note` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	FOREIGN KEY (`article_id`) REFERENCES `articles`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stock_moves_lot` ON `stock_moves` (`lot_id`,`qty`);--> statement-breakpoint
CREATE INDEX `stock_moves_article` ON `stock_moves` (`article_id`,`at`);--> statement-breakpoint
CREATE INDEX `stock_moves_unit` ON `stock_moves` (`unit_id`);--> statement-breakpoint
CREATE INDEX `stock_moves_at` ON `stock_moves` (`at`);--> statement-breakpoint
CREATE TABLE `accounts` (
	`id` text PRIMARY KEY NOT NULL,
	`account_id` text NOT NULL,
	`provider_id` text NOT NULL,
	`user_id` text NOT NULL,
	`password` text,
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` integer,
	`refresh_token_expires_at` integer,
	`scope` text,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `accounts_person` ON `accounts` (`user_id`);--> statement-breakpoint
CREATE TABLE `calendar_keys` (
	`person_id` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`email` text NOT NULL,
	`email_verified` integer NOT NULL,
	`image` text,
	`username` text,
	`display_username` text,
	`role` text NOT NULL,
	`bench` text,
	`failed_pins` integer DEFAULT 0 NOT NULL,
	`locked_until` integer,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_email_unique` ON `people` (`email`);--> statement-breakpoint
CREATE UNIQUE INDEX `people_username_unique` ON `people` (`username`);--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` text PRIMARY KEY NOT NULL,
	`token` text NOT NULL,
	`user_id` text NOT NULL,
	`expires_at` integer NOT NULL,
	`ip_address` text,
	`user_agent` text,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sessions_token_unique` ON `sessions` (`token`);--> statement-breakpoint
CREATE INDEX `sessions_person` ON `sessions` (`user_id`);--> statement-breakpoint
CREATE TABLE `verifications` (
	`id` text PRIMARY KEY NOT NULL,
	`identifier` text NOT NULL,
	`value` text NOT NULL,
	`expires_at` integer NOT NULL,
	`created_at` integer,
	`updated_at` integer
);
--> statement-breakpoint
CREATE TABLE `certificates` (
	`id` text PRIMARY KEY NOT NULL,
	`number` integer NOT NULL,
	`unit_id` text NOT NULL,
	`at` integer NOT NULL,
	`statement` text NOT NULL,
	`hash` text NOT NULL,
	`previous_hash` text NOT NULL,
	`supersedes` integer,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `certificates_number_unique` ON `certificates` (`number`);--> statement-breakpoint
CREATE INDEX `certificates_unit` ON `certificates` (`unit_id`);--> statement-breakpoint
CREATE TABLE `programmes` (
	`id` text PRIMARY KEY NOT NULL,
	`family` text NOT NULL,
	`version` integer NOT NULL,
	`steps` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`note` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `programmes_family` ON `programmes` (`family`,`version`);--> statement-breakpoint
CREATE TABLE `rig_queue` (
	`unit_id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `run_pieces` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`from_t` real NOT NULL,
	`samples` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `run_pieces_run` ON `run_pieces` (`run_id`,`from_t`);--> statement-breakpoint
CREATE TABLE `runs` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`rig` text NOT NULL,
	`person_id` text NOT NULL,
	`started_at` integer NOT NULL,
	`ended_at` integer,
	`state` text NOT NULL,
	`way` text NOT NULL,
	`programme` integer NOT NULL,
	`step_id` text NOT NULL,
	`step` text NOT NULL,
	`because` text NOT NULL,
	`outcome` text,
	`sentence` text NOT NULL,
	`samples` text NOT NULL,
	`analysis` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `runs_unit` ON `runs` (`unit_id`,`started_at`);--> statement-breakpoint
CREATE TABLE `signatures` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`person_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `signatures_unit` ON `signatures` (`unit_id`);--> statement-breakpoint
CREATE TABLE `cause_models` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`note` text NOT NULL,
	`likelihoods` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `cause_models_version_unique` ON `cause_models` (`version`);--> statement-breakpoint
CREATE TABLE `findings` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`about` text NOT NULL,
	`name` text NOT NULL,
	`answer` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `findings_unit` ON `findings` (`unit_id`);--> statement-breakpoint
CREATE TABLE `guide_ticks` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`step_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`note` text NOT NULL,
	`dims` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `guide_ticks_unit` ON `guide_ticks` (`unit_id`);--> statement-breakpoint
CREATE TABLE `parts` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`seq` real NOT NULL,
	`slot_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`qty` integer NOT NULL,
	`found` text,
	`condition` text,
	`faces` text,
	`dims` text NOT NULL,
	`checks` text NOT NULL,
	`note` text NOT NULL,
	`fate` text,
	`goes_in` text,
	`in_at` integer,
	`fastened` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `parts_unit` ON `parts` (`unit_id`);--> statement-breakpoint
CREATE TABLE `treatments` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`method` text NOT NULL,
	`state` text,
	`pressure_bar` real,
	`minutes` real,
	`result` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `treatments_unit` ON `treatments` (`unit_id`);--> statement-breakpoint
CREATE TABLE `customers` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`phone` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `customers_name` ON `customers` (`name`);--> statement-breakpoint
CREATE TABLE `family_variants` (
	`id` text PRIMARY KEY NOT NULL,
	`label` text NOT NULL,
	`variant` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`replaced_by` text
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`customer_id` text NOT NULL,
	`machine` text NOT NULL,
	`complaints` text NOT NULL,
	`complaint_text` text NOT NULL,
	`promised_at` integer NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `jobs_customer` ON `jobs` (`customer_id`);--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`hash` text NOT NULL,
	`caption` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`on_kind` text NOT NULL,
	`on_id` text NOT NULL,
	`phase` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photos_unit` ON `photos` (`unit_id`);--> statement-breakpoint
CREATE TABLE `steps` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`station` text NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`note` text NOT NULL,
	`override` text,
	`unmet` text NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `steps_unit` ON `steps` (`unit_id`);--> statement-breakpoint
CREATE TABLE `timers` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`label` text NOT NULL,
	`started_at` integer NOT NULL,
	`ends_at` integer NOT NULL,
	`person_id` text NOT NULL,
	`owner_id` text NOT NULL,
	`rung_at` integer,
	`done_at` integer,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `timers_unit` ON `timers` (`unit_id`);--> statement-breakpoint
CREATE INDEX `timers_open` ON `timers` (`done_at`,`ends_at`);--> statement-breakpoint
CREATE TABLE `unit_events` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`version` integer NOT NULL,
	`at` integer NOT NULL,
	`person_id` text NOT NULL,
	`kind` text NOT NULL,
	`note` text NOT NULL,
	`payload` text NOT NULL,
	`undone_by` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `unit_events_order` ON `unit_events` (`unit_id`,`version`);--> statement-breakpoint
CREATE TABLE `units` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`tag_no` integer NOT NULL,
	`family` text NOT NULL,
	`variant_id` text,
	`position` text NOT NULL,
	`identity_marks` text NOT NULL,
	`material` text NOT NULL,
	`geometry` text,
	`piston_dia_mm` real,
	`due_at` integer NOT NULL,
	`created_at` integer NOT NULL,
	`version` integer NOT NULL,
	`changed_at` integer NOT NULL,
	`station` text NOT NULL,
	`outcome` text,
	`target_dia_mm` real,
	`bore_changed_at` integer NOT NULL,
	`exit` text,
	`exit_at` integer,
	`comes_back_from` text,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`variant_id`) REFERENCES `family_variants`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `units_tagNo_unique` ON `units` (`tag_no`);--> statement-breakpoint
CREATE INDEX `units_rack` ON `units` (`exit`,`station`,`due_at`);--> statement-breakpoint
CREATE INDEX `units_job` ON `units` (`job_id`);--> statement-breakpoint
CREATE INDEX `units_exit_at` ON `units` (`exit_at`);--> statement-breakpoint
CREATE INDEX `units_comes_back` ON `units` (`comes_back_from`);