CREATE TABLE `arrangement` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`view` text NOT NULL,
	`group` text NOT NULL,
	`sort` text NOT NULL,
	`detail` text NOT NULL,
	`cap` integer
);
--> statement-breakpoint
CREATE INDEX `arrangement_seq_ix` ON `arrangement` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `arrangement_person_ix` ON `arrangement` (`personId`);--> statement-breakpoint
CREATE TABLE `capacity` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`minutes` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `capacity_seq_ix` ON `capacity` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `capacity_person_ix` ON `capacity` (`personId`);--> statement-breakpoint
ALTER TABLE `bundle` ADD `purpose` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `bundle` ADD `colour` text DEFAULT 'graphite' NOT NULL;--> statement-breakpoint
ALTER TABLE `bundle` ADD `icon` text DEFAULT 'package' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `hintsListId` text;--> statement-breakpoint
ALTER TABLE `list` ADD `clearedAt` text;