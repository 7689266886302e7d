CREATE TABLE `organisation` (
	`id` integer PRIMARY KEY NOT NULL,
	`facts` text NOT NULL
);
