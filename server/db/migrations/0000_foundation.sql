CREATE TABLE `build_rivals` (
	`build_id` text NOT NULL,
	`rival_id` text NOT NULL,
	PRIMARY KEY(`build_id`, `rival_id`),
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`rival_id`) REFERENCES `rivals`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `builds` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`purpose` text NOT NULL,
	`currency` text NOT NULL,
	`region` text NOT NULL,
	`budget` integer NOT NULL,
	`stretch` integer NOT NULL,
	`wanted_by` text,
	`house_rules` text NOT NULL,
	`needs` text NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text
);
--> statement-breakpoint
CREATE TABLE `choices` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`position` integer NOT NULL,
	`kind` text NOT NULL,
	`lead_id` text,
	`part_id` text,
	`shelf_id` text,
	`limit` integer,
	`scope` text NOT NULL,
	`reason` text NOT NULL,
	`paid_on` text,
	`deleted_at` text,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`shelf_id`) REFERENCES `shelf`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `choices_build` ON `choices` (`build_id`);--> statement-breakpoint
CREATE TABLE `codes` (
	`id` text PRIMARY KEY NOT NULL,
	`lead_id` text NOT NULL,
	`word` text NOT NULL,
	`kind` text NOT NULL,
	`value` real NOT NULL,
	`min_spend` integer,
	`valid_until` text,
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `exchange_rates` (
	`date` text NOT NULL,
	`from` text NOT NULL,
	`to` text NOT NULL,
	`rate` text NOT NULL,
	PRIMARY KEY(`date`, `from`, `to`)
);
--> statement-breakpoint
CREATE TABLE `imports` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`file_name` text NOT NULL,
	`created_at` text NOT NULL,
	`added` integer NOT NULL,
	`already_there` integer NOT NULL,
	`rejected` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `lead_things` (
	`lead_id` text NOT NULL,
	`position` integer NOT NULL,
	`part_id` text NOT NULL,
	`quantity` integer NOT NULL,
	`plan` text NOT NULL,
	PRIMARY KEY(`lead_id`, `position`),
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `leads` (
	`id` text PRIMARY KEY NOT NULL,
	`source_id` text NOT NULL,
	`external_id` text NOT NULL,
	`title` text NOT NULL,
	`url` text NOT NULL,
	`price` integer NOT NULL,
	`currency` text NOT NULL,
	`condition` text NOT NULL,
	`manner` text NOT NULL,
	`listed_on` text NOT NULL,
	`ends_on` text,
	`shipping` integer,
	`place` text NOT NULL,
	`note` text NOT NULL,
	`state` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`source_id`) REFERENCES `sources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `leads_identity` ON `leads` (`source_id`,`external_id`);--> statement-breakpoint
CREATE TABLE `parts` (
	`id` text PRIMARY KEY NOT NULL,
	`role` text NOT NULL,
	`make` text NOT NULL,
	`name` text NOT NULL,
	`facts` text NOT NULL,
	`query` text
);
--> statement-breakpoint
CREATE TABLE `rebates` (
	`id` text PRIMARY KEY NOT NULL,
	`lead_id` text NOT NULL,
	`kind` text NOT NULL,
	`amount` integer NOT NULL,
	`claim_by` text NOT NULL,
	`state` text NOT NULL,
	`chance` real NOT NULL,
	FOREIGN KEY (`lead_id`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `record_overrides` (
	`part_id` text NOT NULL,
	`record_id` integer NOT NULL,
	`decision` text NOT NULL,
	PRIMARY KEY(`part_id`, `record_id`),
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`record_id`) REFERENCES `sold_records`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `rival_rates` (
	`id` text PRIMARY KEY NOT NULL,
	`rival_id` text NOT NULL,
	`workload_id` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text,
	`average_fps` real NOT NULL,
	`low_fps` real,
	`note` text NOT NULL,
	FOREIGN KEY (`rival_id`) REFERENCES `rivals`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workload_id`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `rivals` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`price` integer NOT NULL,
	`currency` text NOT NULL,
	`tax_percent` real NOT NULL,
	`shipping` integer NOT NULL,
	`brings` text NOT NULL,
	`cpu_id` text,
	`graphics_id` text,
	`not_stated` text NOT NULL,
	`url` text NOT NULL,
	`note` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`cpu_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`graphics_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `runs` (
	`id` text PRIMARY KEY NOT NULL,
	`workload_id` text NOT NULL,
	`cpu_id` text NOT NULL,
	`graphics_id` text NOT NULL,
	`memory_channels` integer NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text NOT NULL,
	`average_fps` real NOT NULL,
	`low_fps` real,
	`kind` text NOT NULL,
	`ran_on` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`workload_id`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cpu_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`graphics_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `shelf` (
	`id` text PRIMARY KEY NOT NULL,
	`part_id` text NOT NULL,
	`condition` text NOT NULL,
	`cost` integer NOT NULL,
	`currency` text NOT NULL,
	`note` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `shop_prices` (
	`source_id` text NOT NULL,
	`part_id` text NOT NULL,
	`date` text NOT NULL,
	`price` integer NOT NULL,
	`currency` text NOT NULL,
	PRIMARY KEY(`source_id`, `part_id`, `date`),
	FOREIGN KEY (`source_id`) REFERENCES `sources`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `shop_prices_part` ON `shop_prices` (`part_id`);--> statement-breakpoint
CREATE TABLE `sold_records` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`source` text NOT NULL,
	`external_id` text NOT NULL,
	`title` text NOT NULL,
	`price` integer NOT NULL,
	`shipping` integer NOT NULL,
	`currency` text NOT NULL,
	`sold_on` text NOT NULL,
	`manner` text NOT NULL,
	`condition` text NOT NULL,
	`quantity` integer,
	`import_id` integer,
	FOREIGN KEY (`import_id`) REFERENCES `imports`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sold_records_identity` ON `sold_records` (`source`,`external_id`);--> statement-breakpoint
CREATE INDEX `sold_records_date` ON `sold_records` (`sold_on`);--> statement-breakpoint
CREATE TABLE `sources` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`currency` text NOT NULL,
	`tax_percent` real NOT NULL,
	`tax_on_shipping` integer NOT NULL,
	`shipping_kind` text NOT NULL,
	`shipping_amount` integer NOT NULL,
	`shipping_free_from` integer,
	`payment_fee_percent` real NOT NULL,
	`seller_fee_percent` real NOT NULL,
	`protection` text NOT NULL,
	`note` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `targets` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`position` integer NOT NULL,
	`workload_id` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text NOT NULL,
	`average_fps` real NOT NULL,
	`low_fps` real,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workload_id`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `workloads` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`graphics_ms` real NOT NULL,
	`cpu_ms` real NOT NULL,
	`pixel_exponent` real NOT NULL,
	`threads_wanted` integer NOT NULL,
	`low_share_graphics` real NOT NULL,
	`low_share_cpu` real NOT NULL,
	`presets` text NOT NULL,
	`upscaling` text NOT NULL,
	`frame_generation_factor` real NOT NULL,
	`prior_spread` real NOT NULL
);
