CREATE TABLE `peopleGroup` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`name` text NOT NULL,
	`personIds` text NOT NULL,
	`createdAt` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `people_group_seq_ix` ON `peopleGroup` (`houseId`,`seq`);