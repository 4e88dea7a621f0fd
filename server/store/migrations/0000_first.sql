CREATE TABLE `commissions` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`client` text NOT NULL,
	`place` text NOT NULL,
	`build_day` text NOT NULL,
	`length_mm` real NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real NOT NULL,
	`water_line_mm` real NOT NULL,
	`searched` text NOT NULL,
	`revision` integer NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`removed_at` text,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `commissions_build_day` ON `commissions` (`removed_at`,`build_day`);--> statement-breakpoint
CREATE TABLE `entries` (
	`key` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`position` integer NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `orders` (
	`reference` text PRIMARY KEY NOT NULL,
	`commission_id` text NOT NULL,
	`supplier` text NOT NULL,
	`state` text NOT NULL,
	`request` text NOT NULL,
	`confirmation` text,
	`reason` text,
	`sent_at` text NOT NULL,
	`answered_at` text,
	FOREIGN KEY (`commission_id`) REFERENCES `commissions`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `orders_commission` ON `orders` (`commission_id`);