CREATE TABLE `editions` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`name` text NOT NULL,
	`frozen_on` text NOT NULL,
	`content` text NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `editions_build` ON `editions` (`build_id`);--> statement-breakpoint
ALTER TABLE `builds` ADD `weighing` text;--> statement-breakpoint
ALTER TABLE `rivals` ADD `shipping_stated` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `rivals` ADD `parts` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `rivals` ADD `warranty_months` integer;--> statement-breakpoint
ALTER TABLE `rivals` ADD `full_w` real;--> statement-breakpoint
ALTER TABLE `rivals` ADD `idle_w` real;--> statement-breakpoint
ALTER TABLE `rivals` ADD `subscription_per_year` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `rivals` ADD `game_surcharge` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `rivals` ADD `equivalents` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `rivals` ADD `extras` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `rivals` ADD `resale_today` integer;