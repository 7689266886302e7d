CREATE TABLE `publications` (
	`signature_id` text NOT NULL,
	`address` text NOT NULL,
	PRIMARY KEY(`signature_id`, `address`),
	FOREIGN KEY (`signature_id`) REFERENCES `signatures`(`id`) ON UPDATE no action ON DELETE cascade
);
