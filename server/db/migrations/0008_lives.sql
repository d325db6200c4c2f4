CREATE TABLE `actions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`build_id` text,
	`day` text NOT NULL,
	`kind` text NOT NULL,
	`text` text NOT NULL,
	`rows` text NOT NULL,
	`undone_on` text,
	`created_at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `actions_build` ON `actions` (`build_id`);--> statement-breakpoint
CREATE TABLE `items` (
	`id` text PRIMARY KEY NOT NULL,
	`part_id` text NOT NULL,
	`listed_part_id` text,
	`condition` text NOT NULL,
	`place` text NOT NULL,
	`state` text NOT NULL,
	`gone_because` text,
	`build_id` text,
	`payer_id` text,
	`line_id` text,
	`scope` text NOT NULL,
	`plan` text NOT NULL,
	`is_built_in` integer NOT NULL,
	`left_out` text DEFAULT '[]' NOT NULL,
	`reason` text DEFAULT '' NOT NULL,
	`currency` text NOT NULL,
	`cost` integer NOT NULL,
	`remaining` integer NOT NULL,
	`anyone_can_pay` integer,
	`fault_loss` integer,
	`expected_back` integer DEFAULT 0 NOT NULL,
	`sold_for` integer DEFAULT 0 NOT NULL,
	`left_on` text,
	`arrived_on` text,
	`return_by` text,
	`checks` text DEFAULT '[]' NOT NULL,
	`facts` text DEFAULT '{}' NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `items_build` ON `items` (`build_id`);--> statement-breakpoint
CREATE INDEX `items_payer` ON `items` (`payer_id`);--> statement-breakpoint
CREATE INDEX `items_line` ON `items` (`line_id`);--> statement-breakpoint
CREATE TABLE `moves` (
	`id` text PRIMARY KEY NOT NULL,
	`item_id` text NOT NULL,
	`day` text NOT NULL,
	`from_build_id` text,
	`to_build_id` text,
	`from_amount` integer NOT NULL,
	`to_amount` integer NOT NULL,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `order_lines` (
	`id` text PRIMARY KEY NOT NULL,
	`order_id` text NOT NULL,
	`build_id` text NOT NULL,
	`lead_id` text,
	`label` text NOT NULL,
	`reason` text NOT NULL,
	`paid` integer NOT NULL,
	`booked` integer NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `order_lines_build` ON `order_lines` (`build_id`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` text PRIMARY KEY NOT NULL,
	`source_id` text,
	`day` text NOT NULL,
	`paid` integer NOT NULL,
	`currency` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sales` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`item_id` text,
	`day` text NOT NULL,
	`price` integer NOT NULL,
	`fee` integer NOT NULL,
	`postage` integer NOT NULL,
	`hours` real NOT NULL,
	`currency` text NOT NULL,
	`returned_on` text
);
--> statement-breakpoint
ALTER TABLE `builds` ADD `budget_scope` text DEFAULT 'everything' NOT NULL;--> statement-breakpoint
ALTER TABLE `builds` ADD `state` text DEFAULT 'planned' NOT NULL;--> statement-breakpoint
ALTER TABLE `builds` ADD `state_since` text;--> statement-breakpoint
ALTER TABLE `builds` ADD `before_id` text;--> statement-breakpoint
ALTER TABLE `codes` ADD `valid_from` text;--> statement-breakpoint
ALTER TABLE `codes` ADD `only_this` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `codes` ADD `is_public` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `codes` ADD `once` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `codes` ADD `used_on` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `agreed_amount` integer;--> statement-breakpoint
ALTER TABLE `leads` ADD `agreed_on` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `agreed_until` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `stock` text;--> statement-breakpoint
ALTER TABLE `leads` ADD `twin_of` text;--> statement-breakpoint
ALTER TABLE `rebates` ADD `line_id` text;--> statement-breakpoint
ALTER TABLE `ledger_entries` ADD `scope` text DEFAULT 'core' NOT NULL;--> statement-breakpoint
ALTER TABLE `ledger_entries` ADD `line_id` text;--> statement-breakpoint
ALTER TABLE `ledger_entries` ADD `item_id` text;--> statement-breakpoint
ALTER TABLE `ledger_entries` ADD `action_id` integer;--> statement-breakpoint
ALTER TABLE `trips` ADD `driven_on` text;--> statement-breakpoint
ALTER TABLE `choices` ADD `item_id` text;--> statement-breakpoint
ALTER TABLE `choices` ADD `condition` text;--> statement-breakpoint
ALTER TABLE `choices` ADD `order_group` text;--> statement-breakpoint
ALTER TABLE `choices` ADD `void_because` text;--> statement-breakpoint
ALTER TABLE `choices` ADD `void_on` text;--> statement-breakpoint
ALTER TABLE `choices` ADD `line_id` text;--> statement-breakpoint
-- what stood on the shelf, sold, or built in from it
INSERT INTO `items` (`id`, `part_id`, `condition`, `place`, `state`, `gone_because`, `build_id`, `payer_id`, `line_id`, `scope`, `plan`, `is_built_in`, `reason`, `currency`, `cost`, `remaining`, `left_on`, `note`)
SELECT s.id, s.part_id, s.condition,
	CASE WHEN s.sold_on IS NOT NULL THEN 'gone' WHEN c.build_id IS NOT NULL THEN 'build' ELSE 'shelf' END,
	'works',
	CASE WHEN s.sold_on IS NOT NULL THEN 'sold' END,
	coalesce(c.build_id, f.build_id),
	f.build_id,
	CASE WHEN f.id IS NOT NULL THEN 'line-' || f.id END,
	coalesce(c.scope, 'core'),
	CASE WHEN f.id IS NULL THEN 'keep' ELSE 'resell' END,
	c.build_id IS NOT NULL,
	coalesce(c.reason, ''), s.currency, s.cost, s.cost, s.sold_on, s.note
FROM shelf s
LEFT JOIN choices f ON f.id = s.from_choice_id
LEFT JOIN choices c ON c.id = (
	SELECT min(o.id) FROM choices o JOIN builds b ON b.id = o.build_id
	WHERE o.shelf_id = s.id AND o.kind = 'owned' AND o.deleted_at IS NULL AND b.deleted_at IS NULL AND b.variant_of IS NULL
)
WHERE s.deleted_at IS NULL;--> statement-breakpoint
-- every choice that was paid, those that went back again included
CREATE TABLE `__bought` AS
SELECT c.id, c.build_id, c.lead_id, c.part_id, c.scope, c.reason, c.left_out, b.currency, l.source_id,
	coalesce(l.title, p.make || ' ' || p.name) AS label, coalesce(l.condition, 'used') AS condition,
	coalesce(c.paid_on, (SELECT min(e.day) FROM ledger_entries e WHERE e.choice_id = c.id AND e.kind = 'bought')) AS day,
	coalesce(
		(SELECT -sum(e.cash) FROM ledger_entries e WHERE e.choice_id = c.id AND e.kind IN ('bought', 'correction')),
		CASE WHEN l.currency = b.currency THEN l.price ELSE coalesce(c.`limit`, 0) END
	) AS paid,
	NOT EXISTS (SELECT 1 FROM ledger_entries e WHERE e.choice_id = c.id AND e.kind = 'bought') AS unwritten,
	(SELECT sum(e.cash) FROM ledger_entries e WHERE e.choice_id = c.id AND e.kind = 'refunded') AS refunded,
	coalesce((SELECT sum(e.cash) FROM ledger_entries e WHERE e.choice_id = c.id AND e.kind = 'rebate'), 0) AS rebated,
	coalesce((SELECT sum(s.cost) FROM shelf s WHERE s.from_choice_id = c.id AND s.deleted_at IS NULL), 0) AS leftover
FROM choices c
JOIN builds b ON b.id = c.build_id
LEFT JOIN leads l ON l.id = c.lead_id
LEFT JOIN parts p ON p.id = c.part_id
WHERE c.kind <> 'owned' AND (
	(c.deleted_at IS NULL AND c.paid_on IS NOT NULL)
	OR EXISTS (SELECT 1 FROM ledger_entries e WHERE e.choice_id = c.id AND e.kind = 'refunded')
);--> statement-breakpoint
INSERT INTO `orders` SELECT 'order-' || id, source_id, day, paid, currency FROM `__bought`;--> statement-breakpoint
INSERT INTO `order_lines` SELECT 'line-' || id, 'order-' || id, build_id, lead_id, label, reason, paid, paid FROM `__bought`;--> statement-breakpoint
INSERT INTO `ledger_entries` (`id`, `build_id`, `day`, `kind`, `scope`, `cash`, `hours`, `line_id`, `text`, `created_at`)
SELECT 'marked-' || id, build_id, day, 'bought', scope, -paid, 0, 'line-' || id, label || ', marked as paid', day FROM `__bought` WHERE unwritten;--> statement-breakpoint
INSERT INTO `items` (`id`, `part_id`, `listed_part_id`, `condition`, `place`, `state`, `gone_because`, `build_id`, `payer_id`, `line_id`, `scope`, `plan`, `is_built_in`, `left_out`, `reason`, `currency`, `cost`, `remaining`, `expected_back`, `left_on`, `arrived_on`, `return_by`, `checks`, `note`)
WITH RECURSIVE counted(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM counted WHERE i < 1000),
pieces AS (
	SELECT b.*, t.part_id AS thing, t.position AS at, counted.i AS piece FROM `__bought` b
	JOIN lead_things t ON t.lead_id = b.lead_id AND t.plan = 'keep'
	JOIN counted ON counted.i <= t.quantity
	UNION ALL SELECT b.*, b.part_id, 0, 1 FROM `__bought` b WHERE b.lead_id IS NULL
),
numbered AS (
	SELECT x.*, p.role,
		row_number() OVER (PARTITION BY x.id ORDER BY x.at, x.piece) AS nr,
		row_number() OVER (PARTITION BY x.id, p.role ORDER BY x.at, x.piece) AS of_role,
		count(*) OVER (PARTITION BY x.id) AS many,
		max(0, x.paid - x.leftover) AS rest
	FROM pieces x JOIN parts p ON p.id = x.thing
),
seen AS (
	SELECT n.*, a.day AS came, a.verdict, a.return_by, a.return_state, a.checks, a.note,
		CASE WHEN n.of_role = 1 AND f.role = n.role AND f.id <> n.thing THEN f.id END AS found,
		n.rest / n.many + (n.nr <= n.rest % n.many) AS share
	FROM numbered n
	LEFT JOIN arrivals a ON a.rowid = (SELECT z.rowid FROM arrivals z WHERE z.choice_id = n.id ORDER BY z.day DESC, z.rowid DESC LIMIT 1)
	LEFT JOIN parts f ON f.id = a.found_part_id
)
SELECT 'item-' || id || '-' || nr, coalesce(found, thing), CASE WHEN found IS NOT NULL THEN thing END, condition,
	CASE WHEN refunded IS NOT NULL THEN 'gone' WHEN return_state = 'sent' THEN 'returning' WHEN came IS NOT NULL THEN 'build' ELSE 'ordered' END,
	CASE WHEN came IS NULL THEN 'unseen' WHEN verdict = 'faulty' THEN 'faulty' ELSE 'works' END,
	CASE WHEN refunded IS NOT NULL THEN 'returned' END,
	build_id,
	build_id, 'line-' || id, scope, 'keep',
	NOT EXISTS (SELECT 1 FROM json_each(left_out) WHERE value = thing),
	CASE WHEN role = 'donor' THEN left_out ELSE '[]' END,
	reason, currency, share,
	share - CASE WHEN nr = 1 THEN coalesce(refunded, 0) + rebated ELSE 0 END,
	CASE WHEN return_state = 'sent' AND refunded IS NULL THEN share ELSE 0 END,
	CASE WHEN refunded IS NOT NULL THEN came END, came, return_by, coalesce(checks, '[]'), coalesce(note, '')
FROM seen;--> statement-breakpoint
UPDATE `ledger_entries` SET `kind` = coalesce(
	(SELECT o.kind FROM ledger_entries o WHERE o.id = ledger_entries.corrects_id AND o.kind <> 'correction'),
	CASE WHEN choice_id IS NOT NULL THEN 'bought' ELSE 'fee' END
) WHERE `kind` = 'correction';--> statement-breakpoint
UPDATE `ledger_entries` SET
	`line_id` = (SELECT 'line-' || b.id FROM `__bought` b WHERE b.id = choice_id),
	`scope` = coalesce((SELECT c.scope FROM choices c WHERE c.id = choice_id), 'core')
WHERE `choice_id` IS NOT NULL;--> statement-breakpoint
UPDATE `rebates` SET `line_id` = (SELECT 'line-' || min(b.id) FROM `__bought` b WHERE b.lead_id = rebates.lead_id);--> statement-breakpoint
UPDATE `leads` SET `state` = 'bought' WHERE `id` IN (
	SELECT b.lead_id FROM `__bought` b JOIN sources s ON s.id = b.source_id WHERE s.kind IN ('classifieds', 'auction')
);--> statement-breakpoint
UPDATE `choices` SET `kind` = 'item', `item_id` = `shelf_id` WHERE `kind` = 'owned' AND `build_id` IN (SELECT id FROM builds WHERE variant_of IS NOT NULL);--> statement-breakpoint
DELETE FROM `choices` WHERE `kind` = 'owned' OR `id` IN (SELECT id FROM `__bought`);--> statement-breakpoint
DROP TABLE `__bought`;
