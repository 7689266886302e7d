CREATE TABLE `sightings` (
	`id` text PRIMARY KEY NOT NULL,
	`install_id` text NOT NULL,
	`hash` text NOT NULL,
	`name` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`told` text,
	`created_at` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`install_id`) REFERENCES `installs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `sightings_by_install` ON `sightings` (`install_id`,`created_at`);