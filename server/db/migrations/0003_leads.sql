CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`lead_id` text NOT NULL,
	`arrival` integer NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`added_on` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photos_lead` ON `photos` (`lead_id`);--> statement-breakpoint
CREATE TABLE `trips` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`name` text NOT NULL,
	`km` real NOT NULL,
	`fare` integer NOT NULL,
	`hours` real NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `builds` ADD `private_note` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `builds` ADD `sale_text` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `codes` ADD `cap` integer;--> statement-breakpoint
ALTER TABLE `codes` ADD `stackable` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `codes` ADD `role` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `pass_reason` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `leads` ADD `text` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `leads` ADD `answers` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `leads` ADD `signs` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `leads` ADD `extras` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `leads` ADD `trip_id` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `asked_on` text;--> statement-breakpoint
ALTER TABLE `rebates` ADD `proof` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rebates` ADD `expected_by` text;--> statement-breakpoint
ALTER TABLE `rebates` ADD `campaign` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rebates` ADD `per_household` integer;--> statement-breakpoint
ALTER TABLE `rebates` ADD `traded_part_id` text REFERENCES parts(id);--> statement-breakpoint
ALTER TABLE `shelf` ADD `from_choice_id` text;--> statement-breakpoint
ALTER TABLE `shelf` ADD `sold_on` text;--> statement-breakpoint
ALTER TABLE `sources` ADD `import_duty_percent` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sources` ADD `import_tax_percent` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sources` ADD `import_free_under` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sources` ADD `exchange_fee_percent` real DEFAULT 0 NOT NULL;