CREATE TABLE `slot` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`itemIds` text NOT NULL,
	`start` text NOT NULL,
	`minutes` integer NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `slot_seq_ix` ON `slot` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `slot_person_ix` ON `slot` (`personId`);--> statement-breakpoint
ALTER TABLE `item` ADD `dayPart` text;--> statement-breakpoint
ALTER TABLE `series` ADD `dayPart` text;