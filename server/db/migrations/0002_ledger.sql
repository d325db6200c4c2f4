CREATE TABLE `arrivals` (
	`id` text PRIMARY KEY NOT NULL,
	`choice_id` text NOT NULL,
	`day` text NOT NULL,
	`verdict` text NOT NULL,
	`found_part_id` text,
	`checks` text NOT NULL,
	`note` text NOT NULL,
	`return_by` text,
	`return_state` text,
	`created_at` text NOT NULL,
	FOREIGN KEY (`choice_id`) REFERENCES `choices`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`found_part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `arrivals_choice` ON `arrivals` (`choice_id`);--> statement-breakpoint
CREATE TABLE `ledger_entries` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`day` text NOT NULL,
	`kind` text NOT NULL,
	`cash` integer NOT NULL,
	`hours` real NOT NULL,
	`choice_id` text,
	`text` text NOT NULL,
	`corrects_id` text,
	`created_at` text NOT NULL,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`choice_id`) REFERENCES `choices`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ledger_build` ON `ledger_entries` (`build_id`);--> statement-breakpoint
CREATE TABLE `offers` (
	`id` text PRIMARY KEY NOT NULL,
	`lead_id` text NOT NULL,
	`by` text NOT NULL,
	`amount` integer,
	`day` text NOT NULL,
	`note` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
);
