CREATE TABLE `links` (
	`id` text PRIMARY KEY NOT NULL,
	`commission_id` text NOT NULL,
	`kind` text NOT NULL,
	`named` text NOT NULL,
	`made_at` integer DEFAULT (cast(unixepoch('subsecond') * 1000 as integer)) NOT NULL,
	`until` text NOT NULL,
	`ended_at` integer,
	`used_at` integer,
	`shows` text NOT NULL,
	`offers` text NOT NULL,
	`answer` text,
	FOREIGN KEY (`commission_id`) REFERENCES `commissions`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `links_commission` ON `links` (`commission_id`);