CREATE TABLE `hosted_files` (
	`hash` text NOT NULL,
	`file_name` text NOT NULL,
	`bytes` integer NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`hash`, `file_name`)
);
