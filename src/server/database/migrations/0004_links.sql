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
CREATE TABLE `network_kinds` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`glyph` text NOT NULL,
	`pattern` text NOT NULL,
	`created_at` integer NOT NULL
);
