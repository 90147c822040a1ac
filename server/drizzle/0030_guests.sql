CREATE TABLE `guest` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`personId` text NOT NULL,
	`byId` text NOT NULL,
	`since` text NOT NULL,
	`endedAt` text
);
--> statement-breakpoint
CREATE INDEX `guest_seq_ix` ON `guest` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `guest_item_ix` ON `guest` (`itemId`);--> statement-breakpoint
CREATE INDEX `guest_person_ix` ON `guest` (`personId`);