CREATE INDEX `sessions_past` ON `sessions` (`expires_at`);--> statement-breakpoint
CREATE INDEX `runs_state` ON `runs` (`state`);