CREATE TABLE `letter_type` (
	`id` integer PRIMARY KEY NOT NULL,
	`facts` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `patterns` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`document` text NOT NULL,
	`created_at` integer NOT NULL
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