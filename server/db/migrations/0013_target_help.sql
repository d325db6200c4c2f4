ALTER TABLE `targets` ADD `upscaling` text;--> statement-breakpoint
ALTER TABLE `targets` ADD `frame_generation` integer DEFAULT false NOT NULL;