CREATE TABLE `picture_colors` (
	`hash` text PRIMARY KEY NOT NULL,
	`colors` text NOT NULL
);
