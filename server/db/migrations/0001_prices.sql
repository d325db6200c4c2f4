CREATE TABLE `connectors` (
	`id` text PRIMARY KEY NOT NULL,
	`source_id` text NOT NULL,
	`kind` text NOT NULL,
	`url` text NOT NULL,
	`every_minutes` integer NOT NULL,
	`allow_private` integer NOT NULL,
	`paused` integer NOT NULL,
	`failures` integer NOT NULL,
	`due_at` text NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`source_id`) REFERENCES `sources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `guide_opinions` (
	`id` text PRIMARY KEY NOT NULL,
	`part_id` text NOT NULL,
	`guide` text NOT NULL,
	`said_on` text NOT NULL,
	`verdict` text NOT NULL,
	`note` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `lead_asks` (
	`lead_id` text NOT NULL,
	`day` text NOT NULL,
	`ask` integer NOT NULL,
	PRIMARY KEY(`lead_id`, `day`),
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `lookout_seen` (
	`lookout_id` text NOT NULL,
	`lead_id` text NOT NULL,
	`seen_on` text NOT NULL,
	PRIMARY KEY(`lookout_id`, `lead_id`),
	FOREIGN KEY (`lookout_id`) REFERENCES `lookouts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `lookouts` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`part_id` text NOT NULL,
	`limit` integer NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `own_figures` (
	`part_id` text PRIMARY KEY NOT NULL,
	`amount` integer NOT NULL,
	`currency` text NOT NULL,
	`note` text NOT NULL,
	`set_on` text NOT NULL,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `polls` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`connector_id` text NOT NULL,
	`started_at` text NOT NULL,
	`finished_at` text,
	`outcome` text NOT NULL,
	`added` integer NOT NULL,
	`changed` integer NOT NULL,
	`already_there` integer NOT NULL,
	`vanished` integer NOT NULL,
	`rejected` integer NOT NULL,
	`problems` text NOT NULL,
	`message` text NOT NULL,
	FOREIGN KEY (`connector_id`) REFERENCES `connectors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `polls_connector` ON `polls` (`connector_id`);--> statement-breakpoint
CREATE TABLE `price_reads` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`part_id` text NOT NULL,
	`read_on` text NOT NULL,
	`currency` text NOT NULL,
	`patient` integer NOT NULL,
	`typical` integer NOT NULL,
	`hurried` integer NOT NULL,
	`low` integer NOT NULL,
	`high` integer NOT NULL,
	`kept` integer NOT NULL,
	`grade` text NOT NULL,
	`query` text NOT NULL,
	`note` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `price_reads_part` ON `price_reads` (`part_id`);--> statement-breakpoint
CREATE TABLE `query_recipes` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`settings` text NOT NULL,
	`deleted_at` text
);
--> statement-breakpoint
CREATE TABLE `wait_notes` (
	`id` text PRIMARY KEY NOT NULL,
	`role` text NOT NULL,
	`part_id` text,
	`what` text NOT NULL,
	`expected_on` text NOT NULL,
	`drop_percent` real NOT NULL,
	`chance` real NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `leads` ADD `connector_id` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `last_seen_on` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `vanished_on` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `tie_deduced` integer DEFAULT false NOT NULL;