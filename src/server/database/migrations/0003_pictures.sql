CREATE TABLE `foreign_pictures` (
	`address` text PRIMARY KEY NOT NULL,
	`report` text NOT NULL,
	`checked_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `public_address` (
	`id` integer PRIMARY KEY NOT NULL,
	`facts` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `published_copies` (
	`address` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`file_name` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_cuts` (
	`hash` text NOT NULL,
	`file_name` text NOT NULL,
	`original_hash` text,
	`recipe` text NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`pixel_width` integer NOT NULL,
	`pixel_height` integer NOT NULL,
	`bytes` integer NOT NULL,
	`created_at` integer NOT NULL,
	`removed_at` integer,
	PRIMARY KEY(`hash`, `file_name`),
	FOREIGN KEY (`original_hash`) REFERENCES `originals`(`hash`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_cuts`("hash", "file_name", "original_hash", "recipe", "type", "width", "height", "pixel_width", "pixel_height", "bytes", "created_at", "removed_at") SELECT "hash", "file_name", "original_hash", "recipe", "type", "width", "height", "width" * json_extract("recipe", '$.density'), "height" * json_extract("recipe", '$.density'), "bytes", "created_at", NULL FROM `cuts`;--> statement-breakpoint
DROP TABLE `cuts`;--> statement-breakpoint
ALTER TABLE `__new_cuts` RENAME TO `cuts`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `cuts_by_original` ON `cuts` (`original_hash`);--> statement-breakpoint
ALTER TABLE `originals` ADD `frames` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `originals` ADD `replaced_by` text;--> statement-breakpoint
ALTER TABLE `originals` ADD `removed_at` integer;