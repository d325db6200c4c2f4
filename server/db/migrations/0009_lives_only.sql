DROP TABLE `arrivals`;--> statement-breakpoint
DROP TABLE `shelf`;--> statement-breakpoint
CREATE TABLE `__new_ledger_entries` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`day` text NOT NULL,
	`kind` text NOT NULL,
	`scope` text DEFAULT 'core' NOT NULL,
	`cash` integer NOT NULL,
	`hours` real NOT NULL,
	`line_id` text,
	`item_id` text,
	`action_id` integer,
	`text` text NOT NULL,
	`corrects_id` text,
	`created_at` text NOT NULL,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_ledger_entries`("id", "build_id", "day", "kind", "scope", "cash", "hours", "line_id", "item_id", "action_id", "text", "corrects_id", "created_at") SELECT "id", "build_id", "day", "kind", "scope", "cash", "hours", "line_id", "item_id", "action_id", "text", "corrects_id", "created_at" FROM `ledger_entries`;--> statement-breakpoint
DROP TABLE `ledger_entries`;--> statement-breakpoint
ALTER TABLE `__new_ledger_entries` RENAME TO `ledger_entries`;--> statement-breakpoint
CREATE INDEX `ledger_build` ON `ledger_entries` (`build_id`);--> statement-breakpoint
CREATE TABLE `__new_choices` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`position` integer NOT NULL,
	`kind` text NOT NULL,
	`lead_id` text,
	`part_id` text,
	`item_id` text,
	`limit` integer,
	`condition` text,
	`order_group` text,
	`void_because` text,
	`void_on` text,
	`line_id` text,
	`scope` text NOT NULL,
	`reason` text NOT NULL,
	`left_out` text DEFAULT '[]' NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_choices`("id", "build_id", "position", "kind", "lead_id", "part_id", "item_id", "limit", "condition", "order_group", "void_because", "void_on", "line_id", "scope", "reason", "left_out", "deleted_at") SELECT "id", "build_id", "position", "kind", "lead_id", "part_id", "item_id", "limit", "condition", "order_group", "void_because", "void_on", "line_id", "scope", "reason", "left_out", "deleted_at" FROM `choices`;--> statement-breakpoint
DROP TABLE `choices`;--> statement-breakpoint
ALTER TABLE `__new_choices` RENAME TO `choices`;--> statement-breakpoint
CREATE INDEX `choices_build` ON `choices` (`build_id`);