CREATE TABLE `passkeys` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`name` text NOT NULL,
	`public_key` text NOT NULL,
	`counter` integer NOT NULL,
	`made_at` integer DEFAULT (cast(unixepoch('subsecond') * 1000 as integer)) NOT NULL,
	`used_at` integer,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `passkeys_person` ON `passkeys` (`person_id`);--> statement-breakpoint
CREATE TABLE `second_factors` (
	`id` text PRIMARY KEY NOT NULL,
	`secret` text NOT NULL,
	`backup_codes` text NOT NULL,
	`user_id` text NOT NULL,
	`verified` integer DEFAULT true,
	`failed` integer DEFAULT 0,
	`locked_until` integer,
	FOREIGN KEY (`user_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `second_factors_user` ON `second_factors` (`user_id`);--> statement-breakpoint
ALTER TABLE `invitations` ADD `person_id` text REFERENCES people(id) ON DELETE CASCADE;--> statement-breakpoint
ALTER TABLE `people` ADD `two_factor` integer DEFAULT false NOT NULL;