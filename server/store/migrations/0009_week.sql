DELETE FROM `glances`;--> statement-breakpoint
ALTER TABLE `glances` ADD `dues` text DEFAULT '[]' NOT NULL;