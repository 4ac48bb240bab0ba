-- the projection is thrown away here and folded again from the events at the next start
DELETE FROM `pack_state`;--> statement-breakpoint
DELETE FROM `eaten_log`;--> statement-breakpoint
DROP INDEX `pack_by_recipe`;--> statement-breakpoint
ALTER TABLE `pack_state` ADD `made_day` text NOT NULL;--> statement-breakpoint
ALTER TABLE `pack_state` ADD `filled_id` text NOT NULL;--> statement-breakpoint
ALTER TABLE `pack_state` ADD `changes` text NOT NULL;--> statement-breakpoint
CREATE INDEX `pack_by_recipe` ON `pack_state` (`recipe_id`,`made_day`);--> statement-breakpoint
ALTER TABLE `pack_state` DROP COLUMN `data`;
