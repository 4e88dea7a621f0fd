CREATE TABLE `gone` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `commissions_updated` ON `commissions` (`removed_at`,`updated_at`);