CREATE TABLE `stillness` (
	`signature_id` text PRIMARY KEY NOT NULL,
	`html_hash` text NOT NULL,
	`still` integer NOT NULL,
	`all_proofs` integer NOT NULL,
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE cascade
);
