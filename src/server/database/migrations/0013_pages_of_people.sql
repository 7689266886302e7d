CREATE TABLE `corrections` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`field` text NOT NULL,
	`before` text NOT NULL,
	`after` text NOT NULL,
	`asked_at` integer NOT NULL,
	`settled_at` integer,
	`accepted` integer,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `corrections_by_person` ON `corrections` (`person_id`,`settled_at`);--> statement-breakpoint
CREATE TABLE `page_letters` (
	`secret` text NOT NULL,
	`way` text NOT NULL,
	`state` text NOT NULL,
	`trouble` text DEFAULT '' NOT NULL,
	`at` integer NOT NULL,
	PRIMARY KEY(`secret`, `way`),
	FOREIGN KEY (`secret`) REFERENCES `person_pages`(`secret`) ON UPDATE cascade ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `person_pages` (
	`person_id` text PRIMARY KEY NOT NULL,
	`secret` text NOT NULL,
	`created_at` integer NOT NULL,
	`withdrawn_at` integer,
	`opened_at` integer,
	`copied_at` integer,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `person_pages_secret_unique` ON `person_pages` (`secret`);