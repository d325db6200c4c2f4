ALTER TABLE `leads` ADD `till_credit` integer;--> statement-breakpoint
ALTER TABLE `leads` ADD `till_item_id` text;--> statement-breakpoint
ALTER TABLE `sources` ADD `credit_lowers_tax` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `sources` ADD `codes` text DEFAULT '[]' NOT NULL;