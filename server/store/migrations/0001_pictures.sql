CREATE TABLE `pictures` (
	`id` text NOT NULL,
	`commission_id` text NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`added_at` text NOT NULL,
	`jpeg` blob NOT NULL,
	PRIMARY KEY(`commission_id`, `id`),
	FOREIGN KEY (`commission_id`) REFERENCES `commissions`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `commissions` ADD `erased_at` text;