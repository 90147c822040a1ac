CREATE TABLE `pin` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`itemId` text NOT NULL,
	`at` text NOT NULL,
	`endedAt` text
);
--> statement-breakpoint
CREATE INDEX `pin_seq_ix` ON `pin` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `pin_person_ix` ON `pin` (`personId`);