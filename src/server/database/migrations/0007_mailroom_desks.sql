CREATE TABLE `desk_files` (
	`person_id` text NOT NULL,
	`client` text NOT NULL,
	`path` text NOT NULL,
	`name` text DEFAULT '' NOT NULL,
	`bytes` blob NOT NULL,
	`held` blob,
	`updated_at` integer NOT NULL,
	PRIMARY KEY(`person_id`, `client`, `path`),
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `desks` (
	`person_id` text NOT NULL,
	`client` text NOT NULL,
	`settings` text NOT NULL,
	`updated_at` integer NOT NULL,
	PRIMARY KEY(`person_id`, `client`),
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `drafts` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`client` text NOT NULL,
	`letter` text NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `desks`("person_id", "client", "settings", "updated_at") SELECT s."person_id", 'malthouse', json_object('signatures', json_array(json_object('id', 'first', 'name', 'Signature', 'html', s."html")), 'choices', json_array(json_object('address', lower(p."mail"), 'underNew', 'first', 'underAnswers', 'first', 'place', 'above', 'delimiter', json('false')))), s."updated_at" FROM `mailroom_signatures` s JOIN `people` p ON p."id" = s."person_id" WHERE s."html" <> '';--> statement-breakpoint
CREATE INDEX `drafts_by_desk` ON `drafts` (`person_id`,`client`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_messages` (
	`id` text PRIMARY KEY NOT NULL,
	`mailbox` text NOT NULL,
	`box` text DEFAULT 'in' NOT NULL,
	`message_id` text DEFAULT '' NOT NULL,
	`thread` text DEFAULT '' NOT NULL,
	`from_address` text NOT NULL,
	`from_name` text NOT NULL,
	`recipients` text DEFAULT '' NOT NULL,
	`subject` text NOT NULL,
	`words` text DEFAULT '' NOT NULL,
	`raw` blob NOT NULL,
	`received_at` integer NOT NULL,
	`read_at` integer,
	`thrown_at` integer
);
--> statement-breakpoint
INSERT INTO `__new_messages`("id", "mailbox", "box", "message_id", "thread", "from_address", "from_name", "recipients", "subject", "words", "raw", "received_at", "read_at", "thrown_at") SELECT "id", "mailbox", 'in', '', "id", "from_address", "from_name", "mailbox", "subject", '', CAST("raw" AS BLOB), "received_at", "read_at", NULL FROM `messages`;--> statement-breakpoint
DROP TABLE `messages`;--> statement-breakpoint
ALTER TABLE `__new_messages` RENAME TO `messages`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `messages_by_mailbox` ON `messages` (`mailbox`,`received_at`);--> statement-breakpoint
CREATE INDEX `messages_by_thread` ON `messages` (`mailbox`,`thread`);