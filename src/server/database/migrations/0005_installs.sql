CREATE TABLE `installs` (
	`id` text PRIMARY KEY NOT NULL,
	`signature_id` text NOT NULL,
	`form` text NOT NULL,
	`revision` integer NOT NULL,
	`person_id` text,
	`person` text,
	`document` text NOT NULL,
	`base` text NOT NULL,
	`kind` text NOT NULL,
	`account` text NOT NULL,
	`use` text NOT NULL,
	`by` text NOT NULL,
	`note` text NOT NULL,
	`ticked` text DEFAULT '[]' NOT NULL,
	`installed_at` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `installs_by_signature` ON `installs` (`signature_id`,`installed_at`);