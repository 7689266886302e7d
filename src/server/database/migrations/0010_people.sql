CREATE TABLE `changed_people` (
	`change_id` text NOT NULL,
	`person_id` text NOT NULL,
	`change` text NOT NULL,
	PRIMARY KEY(`change_id`, `person_id`),
	FOREIGN KEY (`change_id`) REFERENCES `directory_changes`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `directory_changes` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `own_fields` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `people` ADD `own` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `people` ADD `taken_out_at` integer;