PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_rival_rates` (
	`id` text PRIMARY KEY NOT NULL,
	`rival_id` text NOT NULL,
	`workload_id` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text,
	`average_fps` real,
	`low_fps` real,
	`note` text NOT NULL,
	FOREIGN KEY (`rival_id`) REFERENCES `rivals`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workload_id`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_rival_rates`("id", "rival_id", "workload_id", "width", "height", "preset", "average_fps", "low_fps", "note") SELECT "id", "rival_id", "workload_id", "width", "height", "preset", "average_fps", "low_fps", "note" FROM `rival_rates`;--> statement-breakpoint
DROP TABLE `rival_rates`;--> statement-breakpoint
ALTER TABLE `__new_rival_rates` RENAME TO `rival_rates`;--> statement-breakpoint
PRAGMA foreign_keys=ON;