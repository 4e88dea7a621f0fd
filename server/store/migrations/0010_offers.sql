CREATE TABLE `offers` (
	`supplier` text NOT NULL,
	`article` text NOT NULL,
	`name` text NOT NULL,
	`size` real,
	`unit` text,
	`price_minor` integer NOT NULL,
	`lead_days` integer,
	`searched` text NOT NULL,
	`listed_on` text NOT NULL,
	`gone_on` text,
	PRIMARY KEY(`supplier`, `article`)
);
