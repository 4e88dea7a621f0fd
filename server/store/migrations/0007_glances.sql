CREATE TABLE `glances` (
	`commission_id` text PRIMARY KEY NOT NULL,
	`revision` integer NOT NULL,
	`today` text NOT NULL,
	`placed` text NOT NULL,
	`to_settle` integer NOT NULL,
	`cost_minor` integer NOT NULL,
	`unpriced` integer NOT NULL,
	`to_order` integer NOT NULL,
	`standing` text NOT NULL,
	`next_day` text,
	`glance` text NOT NULL,
	FOREIGN KEY (`commission_id`) REFERENCES `commissions`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `glances_asked` ON `glances` (`commission_id`,`to_settle`,`unpriced`,`to_order`,`cost_minor`,`next_day`);