CREATE TABLE `members` (
	`commission_id` text NOT NULL,
	`person_id` text NOT NULL,
	PRIMARY KEY(`commission_id`, `person_id`),
	FOREIGN KEY (`commission_id`) REFERENCES `commissions`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `members_person` ON `members` (`person_id`);