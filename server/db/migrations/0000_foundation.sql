CREATE TABLE `build_rivals` (
	`buildId` text NOT NULL,
	`rivalId` text NOT NULL,
	PRIMARY KEY(`buildId`, `rivalId`),
	FOREIGN KEY (`buildId`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`rivalId`) REFERENCES `rivals`(`id`) ON UPDATE no action ON DELETE no action
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
	`wantedBy` text,
	`houseRules` text NOT NULL,
	`needs` text NOT NULL,
	`createdAt` text NOT NULL,
	`deletedAt` text
);
--> statement-breakpoint
CREATE TABLE `choices` (
	`id` text PRIMARY KEY NOT NULL,
	`buildId` text NOT NULL,
	`position` integer NOT NULL,
	`kind` text NOT NULL,
	`leadId` text,
	`partId` text,
	`shelfId` text,
	`limit` integer,
	`scope` text NOT NULL,
	`reason` text NOT NULL,
	`paidOn` text,
	`deletedAt` text,
	FOREIGN KEY (`buildId`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`leadId`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`partId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`shelfId`) REFERENCES `shelf`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `choices_build` ON `choices` (`buildId`);--> statement-breakpoint
CREATE TABLE `codes` (
	`id` text PRIMARY KEY NOT NULL,
	`leadId` text NOT NULL,
	`word` text NOT NULL,
	`kind` text NOT NULL,
	`value` real NOT NULL,
	`minSpend` integer,
	`validUntil` text,
	FOREIGN KEY (`leadId`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
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
	`fileName` text NOT NULL,
	`createdAt` text NOT NULL,
	`added` integer NOT NULL,
	`alreadyThere` integer NOT NULL,
	`rejected` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `lead_things` (
	`leadId` text NOT NULL,
	`position` integer NOT NULL,
	`partId` text NOT NULL,
	`quantity` integer NOT NULL,
	`plan` text NOT NULL,
	PRIMARY KEY(`leadId`, `position`),
	FOREIGN KEY (`leadId`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`partId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `leads` (
	`id` text PRIMARY KEY NOT NULL,
	`sourceId` text NOT NULL,
	`externalId` text NOT NULL,
	`title` text NOT NULL,
	`url` text NOT NULL,
	`price` integer NOT NULL,
	`currency` text NOT NULL,
	`condition` text NOT NULL,
	`manner` text NOT NULL,
	`listedOn` text NOT NULL,
	`endsOn` text,
	`shipping` integer,
	`place` text NOT NULL,
	`note` text NOT NULL,
	`state` text NOT NULL,
	`deletedAt` text,
	FOREIGN KEY (`sourceId`) REFERENCES `sources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `leads_identity` ON `leads` (`sourceId`,`externalId`);--> statement-breakpoint
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
	`leadId` text NOT NULL,
	`kind` text NOT NULL,
	`amount` integer NOT NULL,
	`claimBy` text NOT NULL,
	`state` text NOT NULL,
	`chance` real NOT NULL,
	FOREIGN KEY (`leadId`) REFERENCES `leads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `record_overrides` (
	`partId` text NOT NULL,
	`recordId` integer NOT NULL,
	`decision` text NOT NULL,
	PRIMARY KEY(`partId`, `recordId`),
	FOREIGN KEY (`partId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`recordId`) REFERENCES `sold_records`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `rival_rates` (
	`id` text PRIMARY KEY NOT NULL,
	`rivalId` text NOT NULL,
	`workloadId` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text,
	`averageFps` real NOT NULL,
	`lowFps` real,
	`note` text NOT NULL,
	FOREIGN KEY (`rivalId`) REFERENCES `rivals`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workloadId`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `rivals` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`price` integer NOT NULL,
	`currency` text NOT NULL,
	`taxPercent` real NOT NULL,
	`shipping` integer NOT NULL,
	`brings` text NOT NULL,
	`cpuId` text,
	`graphicsId` text,
	`notStated` text NOT NULL,
	`url` text NOT NULL,
	`note` text NOT NULL,
	`deletedAt` text,
	FOREIGN KEY (`cpuId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`graphicsId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `runs` (
	`id` text PRIMARY KEY NOT NULL,
	`workloadId` text NOT NULL,
	`cpuId` text NOT NULL,
	`graphicsId` text NOT NULL,
	`memoryChannels` integer NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text NOT NULL,
	`averageFps` real NOT NULL,
	`lowFps` real,
	`kind` text NOT NULL,
	`ranOn` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`workloadId`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cpuId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`graphicsId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `shelf` (
	`id` text PRIMARY KEY NOT NULL,
	`partId` text NOT NULL,
	`condition` text NOT NULL,
	`cost` integer NOT NULL,
	`currency` text NOT NULL,
	`note` text NOT NULL,
	`deletedAt` text,
	FOREIGN KEY (`partId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `shop_prices` (
	`sourceId` text NOT NULL,
	`partId` text NOT NULL,
	`date` text NOT NULL,
	`price` integer NOT NULL,
	`currency` text NOT NULL,
	PRIMARY KEY(`sourceId`, `partId`, `date`),
	FOREIGN KEY (`sourceId`) REFERENCES `sources`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`partId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `shop_prices_part` ON `shop_prices` (`partId`);--> statement-breakpoint
CREATE TABLE `sold_records` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`source` text NOT NULL,
	`externalId` text NOT NULL,
	`title` text NOT NULL,
	`price` integer NOT NULL,
	`shipping` integer NOT NULL,
	`currency` text NOT NULL,
	`soldOn` text NOT NULL,
	`manner` text NOT NULL,
	`condition` text NOT NULL,
	`quantity` integer,
	`importId` integer,
	FOREIGN KEY (`importId`) REFERENCES `imports`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sold_records_identity` ON `sold_records` (`source`,`externalId`);--> statement-breakpoint
CREATE INDEX `sold_records_date` ON `sold_records` (`soldOn`);--> statement-breakpoint
CREATE TABLE `sources` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`currency` text NOT NULL,
	`taxPercent` real NOT NULL,
	`taxOnShipping` integer NOT NULL,
	`shippingKind` text NOT NULL,
	`shippingAmount` integer NOT NULL,
	`shippingFreeFrom` integer,
	`paymentFeePercent` real NOT NULL,
	`sellerFeePercent` real NOT NULL,
	`protection` text NOT NULL,
	`note` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `targets` (
	`id` text PRIMARY KEY NOT NULL,
	`buildId` text NOT NULL,
	`position` integer NOT NULL,
	`workloadId` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`preset` text NOT NULL,
	`averageFps` real NOT NULL,
	`lowFps` real,
	FOREIGN KEY (`buildId`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workloadId`) REFERENCES `workloads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `workloads` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`graphicsMs` real NOT NULL,
	`cpuMs` real NOT NULL,
	`pixelExponent` real NOT NULL,
	`threadsWanted` integer NOT NULL,
	`lowShareGraphics` real NOT NULL,
	`lowShareCpu` real NOT NULL,
	`presets` text NOT NULL,
	`upscaling` text NOT NULL,
	`frameGenerationFactor` real NOT NULL,
	`priorSpread` real NOT NULL
);
