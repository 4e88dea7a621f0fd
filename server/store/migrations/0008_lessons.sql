ALTER TABLE `commissions` ADD `lessons` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
CREATE INDEX `commissions_lessons` ON `commissions` (`id`) WHERE lessons <> '[]';