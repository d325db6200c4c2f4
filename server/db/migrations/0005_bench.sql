CREATE TABLE `forecasts` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`workload_id` text NOT NULL,
	`cpu_id` text NOT NULL,
	`graphics_id` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text NOT NULL,
	`average_fps` real NOT NULL,
	`low` real NOT NULL,
	`high` real NOT NULL,
	`made_on` text NOT NULL,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workload_id`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `forecasts_identity` ON `forecasts` (`build_id`,`workload_id`,`cpu_id`,`graphics_id`,`width`,`height`,`preset`);--> statement-breakpoint
CREATE TABLE `frame_logs` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`name` text NOT NULL,
	`frames` integer NOT NULL,
	`times` blob NOT NULL,
	`added_on` text NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `frame_logs_run` ON `frame_logs` (`run_id`);--> statement-breakpoint
CREATE TABLE `work_results` (
	`id` text PRIMARY KEY NOT NULL,
	`task_id` text NOT NULL,
	`cpu_id` text NOT NULL,
	`value` real NOT NULL,
	`feeling` text,
	`kind` text NOT NULL,
	`build_id` text,
	`ran_on` text NOT NULL,
	`note` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`task_id`) REFERENCES `work_tasks`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cpu_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `work_results_task` ON `work_results` (`task_id`);--> statement-breakpoint
CREATE TABLE `work_tasks` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`unit` text NOT NULL,
	`less_is_better` integer NOT NULL,
	`threads_exponent` real NOT NULL,
	`most_threads` integer NOT NULL
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_runs` (
	`id` text PRIMARY KEY NOT NULL,
	`workload_id` text NOT NULL,
	`cpu_id` text,
	`graphics_id` text,
	`machine` text,
	`memory_channels` integer NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text NOT NULL,
	`upscaling` text,
	`frame_generation` integer DEFAULT false NOT NULL,
	`scene` text DEFAULT '' NOT NULL,
	`average_fps` real NOT NULL,
	`low_fps` real,
	`min_fps` real,
	`max_fps` real,
	`kind` text NOT NULL,
	`origin` text DEFAULT '' NOT NULL,
	`ran_on` text NOT NULL,
	`note` text NOT NULL,
	`repeats` text DEFAULT '[]' NOT NULL,
	`conditions` text DEFAULT '{}' NOT NULL,
	`readings` text DEFAULT '{}' NOT NULL,
	`lows_cause` text,
	`noise` text,
	`feeling` text,
	`overruled` integer DEFAULT false NOT NULL,
	`build_id` text,
	`deleted_at` text,
	FOREIGN KEY (`workload_id`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cpu_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`graphics_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_runs`("id", "workload_id", "cpu_id", "graphics_id", "memory_channels", "width", "height", "preset", "average_fps", "low_fps", "kind", "ran_on", "note") SELECT "id", "workload_id", "cpu_id", "graphics_id", "memory_channels", "width", "height", "preset", "average_fps", "low_fps", "kind", "ran_on", "note" FROM `runs`;--> statement-breakpoint
DROP TABLE `runs`;--> statement-breakpoint
ALTER TABLE `__new_runs` RENAME TO `runs`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `runs_workload` ON `runs` (`workload_id`);