ALTER TABLE `builds` ADD `settled` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `builds` ADD `variant_of` text;--> statement-breakpoint
ALTER TABLE `builds` ADD `dropped` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `choices` ADD `left_out` text DEFAULT '[]' NOT NULL;