CREATE TABLE `peoples_pictures` (
	`key` text PRIMARY KEY NOT NULL,
	`path` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `people` ADD `portrait` text DEFAULT '' NOT NULL;