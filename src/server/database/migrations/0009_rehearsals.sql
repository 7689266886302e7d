CREATE TABLE `rehearsals` (
	`person_id` text NOT NULL,
	`client` text NOT NULL,
	`signature_id` text NOT NULL,
	`happened` text DEFAULT '[]' NOT NULL,
	`started_at` integer NOT NULL,
	PRIMARY KEY(`person_id`, `client`),
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE cascade
);
