CREATE TABLE `listWatch` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`listId` text NOT NULL,
	`personId` text NOT NULL,
	`on` integer NOT NULL,
	`topics` text NOT NULL,
	`byId` text
);
--> statement-breakpoint
CREATE INDEX `list_watch_seq_ix` ON `listWatch` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `list_watch_list_ix` ON `listWatch` (`listId`);--> statement-breakpoint
ALTER TABLE `watch` ADD `topics` text DEFAULT '["done","answers","changes","said"]' NOT NULL;--> statement-breakpoint
ALTER TABLE `watch` ADD `byId` text;