CREATE TABLE `clash` (
	`id` text PRIMARY KEY NOT NULL,
	`write_id` text NOT NULL,
	`table_name` text NOT NULL,
	`row_id` text NOT NULL,
	`mine` text,
	`version` integer NOT NULL,
	`at` text NOT NULL,
	`device` text NOT NULL,
	`label` text NOT NULL,
	`settled_by` text
);
--> statement-breakpoint
ALTER TABLE `change` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `container` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `eater` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `equipment` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `household` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `place` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `recipe` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `recipe_revision` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `session` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `write_answer` ADD `digest` text;