CREATE TABLE `publications` (
	`signature_id` text NOT NULL,
	`address` text NOT NULL,
	PRIMARY KEY(`signature_id`, `address`),
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `publications` (`signature_id`, `address`) SELECT `signatures`.`id`, `published_copies`.`address` FROM `signatures` JOIN `published_copies` ON instr(`signatures`.`document`, '"' || `published_copies`.`address` || '"') > 0;
