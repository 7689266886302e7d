ALTER TABLE `signatures` ADD `audience` text DEFAULT '{"kind":"nobody"}' NOT NULL;--> statement-breakpoint
ALTER TABLE `signatures` ADD `purpose` text DEFAULT 'full' NOT NULL;