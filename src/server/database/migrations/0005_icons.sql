CREATE TABLE `icons` (
	`original_hash` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`pack` text DEFAULT '' NOT NULL,
	`glyph` text,
	`weight` text,
	`box` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`original_hash`) REFERENCES `originals`(`hash`) ON UPDATE no action ON DELETE cascade
);
