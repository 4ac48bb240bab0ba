CREATE TABLE `change` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`write_id` text NOT NULL,
	`table_name` text NOT NULL,
	`row_id` text NOT NULL,
	`before` text,
	`after` text,
	`at` text NOT NULL,
	`device` text NOT NULL,
	`label` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `change_by_write` ON `change` (`write_id`);--> statement-breakpoint
CREATE INDEX `change_by_time` ON `change` (`at`);--> statement-breakpoint
CREATE TABLE `container` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `eaten_log` (
	`event_id` text NOT NULL,
	`pack_id` text NOT NULL,
	`day` text NOT NULL,
	`meal` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`portions` real NOT NULL,
	`shares` text NOT NULL,
	`guests` real NOT NULL,
	PRIMARY KEY(`event_id`, `pack_id`)
);
--> statement-breakpoint
CREATE INDEX `eaten_by_day` ON `eaten_log` (`day`);--> statement-breakpoint
CREATE INDEX `eaten_by_pack` ON `eaten_log` (`pack_id`);--> statement-breakpoint
CREATE TABLE `eater` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `equipment` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `event` (
	`id` text PRIMARY KEY NOT NULL,
	`stream` text NOT NULL,
	`type` text NOT NULL,
	`subjects` text NOT NULL,
	`instant` text NOT NULL,
	`device` text NOT NULL,
	`counter` integer NOT NULL,
	`version` integer NOT NULL,
	`data` text NOT NULL,
	`received_at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `event_by_instant` ON `event` (`instant`);--> statement-breakpoint
CREATE INDEX `event_by_stream` ON `event` (`stream`,`instant`);--> statement-breakpoint
CREATE TABLE `event_subject` (
	`subject` text NOT NULL,
	`event_id` text NOT NULL,
	PRIMARY KEY(`subject`, `event_id`),
	FOREIGN KEY (`event_id`) REFERENCES `event`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `household` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `meta` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pack_code` (
	`code` text PRIMARY KEY NOT NULL,
	`given_to` text NOT NULL,
	`given_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pack_state` (
	`pack_id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`status` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`left` real NOT NULL,
	`best_by` text NOT NULL,
	`place_id` text,
	`container_id` text,
	`session_id` text,
	`recipe_id` text,
	`washed` integer NOT NULL,
	`last_instant` text NOT NULL,
	`last_device` text NOT NULL,
	`last_counter` integer NOT NULL,
	`data` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pack_by_code` ON `pack_state` (`code`);--> statement-breakpoint
CREATE INDEX `pack_by_status` ON `pack_state` (`status`);--> statement-breakpoint
CREATE INDEX `pack_by_session` ON `pack_state` (`session_id`);--> statement-breakpoint
CREATE INDEX `pack_by_container` ON `pack_state` (`container_id`,`status`,`washed`);--> statement-breakpoint
CREATE INDEX `pack_by_recipe` ON `pack_state` (`recipe_id`);--> statement-breakpoint
CREATE TABLE `place` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipe` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipe_ingredient` (
	`revision_id` text NOT NULL,
	`ingredient_id` text NOT NULL,
	PRIMARY KEY(`revision_id`, `ingredient_id`)
);
--> statement-breakpoint
CREATE INDEX `revision_by_ingredient` ON `recipe_ingredient` (`ingredient_id`);--> statement-breakpoint
CREATE TABLE `recipe_revision` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `ref_row` (
	`table_name` text NOT NULL,
	`id` text NOT NULL,
	`shipped` text NOT NULL,
	`edited` text,
	`source` text NOT NULL,
	`version` integer NOT NULL,
	PRIMARY KEY(`table_name`, `id`)
);
--> statement-breakpoint
CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`deleted` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `write_answer` (
	`write_id` text PRIMARY KEY NOT NULL,
	`status` integer NOT NULL,
	`body` text NOT NULL
);
