CREATE TABLE `advice` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`position` integer NOT NULL,
	`by` text NOT NULL,
	`received_on` text NOT NULL,
	`line` text NOT NULL,
	`remark` text NOT NULL,
	`instead` text NOT NULL,
	`instead_part_id` text,
	`state` text DEFAULT 'open' NOT NULL,
	`created_at` text NOT NULL,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `advice_build` ON `advice` (`build_id`);