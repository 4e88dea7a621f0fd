CREATE TABLE `yard_photos` (
	`id` text PRIMARY KEY NOT NULL,
	`jpeg` blob NOT NULL
);
