CREATE TABLE `cuts` (
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
CREATE INDEX `cuts_by_original` ON `cuts` (`original_hash`);--> statement-breakpoint
CREATE TABLE `foreign_pictures` (
	`address` text PRIMARY KEY NOT NULL,
	`report` text NOT NULL,
	`checked_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `hosted_files` (
	`hash` text NOT NULL,
	`file_name` text NOT NULL,
	`bytes` integer NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`hash`, `file_name`)
);
--> statement-breakpoint
CREATE TABLE `icons` (
	`original_hash` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`pack` text DEFAULT '' NOT NULL,
	`glyph` text,
	`weight` text,
	`box` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`original_hash`) REFERENCES `originals`(`hash`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `link_answers` (
	`address` text PRIMARY KEY NOT NULL,
	`answer` text NOT NULL,
	`walked_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `link_openings` (
	`address` text PRIMARY KEY NOT NULL,
	`opened_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `mailroom_signatures` (
	`person_id` text PRIMARY KEY NOT NULL,
	`html` text NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `messages` (
	`id` text PRIMARY KEY NOT NULL,
	`mailbox` text NOT NULL,
	`from_address` text NOT NULL,
	`from_name` text NOT NULL,
	`subject` text NOT NULL,
	`raw` text NOT NULL,
	`received_at` integer NOT NULL,
	`read_at` integer
);
--> statement-breakpoint
CREATE INDEX `messages_by_mailbox` ON `messages` (`mailbox`,`received_at`);--> statement-breakpoint
CREATE TABLE `network_kinds` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`glyph` text NOT NULL,
	`pattern` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `originals` (
	`hash` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` integer NOT NULL,
	`transparent` integer NOT NULL,
	`frames` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	`replaced_by` text,
	`removed_at` integer
);
--> statement-breakpoint
CREATE TABLE `patterns` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`document` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`pronouns` text DEFAULT '' NOT NULL,
	`title` text DEFAULT '' NOT NULL,
	`department` text DEFAULT '' NOT NULL,
	`phone` text DEFAULT '' NOT NULL,
	`mobile` text DEFAULT '' NOT NULL,
	`mail` text DEFAULT '' NOT NULL,
	`web` text DEFAULT '' NOT NULL,
	`address` text DEFAULT '' NOT NULL,
	`organisation` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE `published_copies` (
	`address` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`file_name` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `refused_saves` (
	`id` text PRIMARY KEY NOT NULL,
	`signature_id` text NOT NULL,
	`base_revision` integer NOT NULL,
	`document` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `refused_saves_by_signature` ON `refused_saves` (`signature_id`);--> statement-breakpoint
CREATE TABLE `settings` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `signatures` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`person_id` text,
	`document` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	`deleted_at` integer,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE TABLE `versions` (
	`id` text PRIMARY KEY NOT NULL,
	`signature_id` text NOT NULL,
	`revision` integer NOT NULL,
	`name` text,
	`document` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `versions_by_signature` ON `versions` (`signature_id`,`created_at`);