ALTER TABLE `workloads` ADD `frame_cap` real;--> statement-breakpoint
ALTER TABLE `workloads` ADD `system_memory_gb` real;