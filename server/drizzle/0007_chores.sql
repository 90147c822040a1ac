CREATE TABLE `override` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`seriesId` text NOT NULL,
	`recurrenceId` text NOT NULL,
	`at` text,
	`skipped` integer NOT NULL,
	`personId` text,
	`countsFor` text,
	FOREIGN KEY (`seriesId`) REFERENCES `series`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `override_seq_ix` ON `override` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `override_series_ix` ON `override` (`seriesId`);--> statement-breakpoint
CREATE TABLE `series` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`listId` text,
	`sectionId` text,
	`makerId` text NOT NULL,
	`title` text NOT NULL,
	`notes` text NOT NULL,
	`importance` integer NOT NULL,
	`effort` integer,
	`energy` text,
	`tagIds` text NOT NULL,
	`situationIds` text NOT NULL,
	`placeId` text,
	`policy` text NOT NULL,
	`confirm` integer NOT NULL,
	`pace` text,
	`steps` text NOT NULL,
	`alarms` text NOT NULL,
	`rrule` text,
	`afterDone` text,
	`dtstart` text NOT NULL,
	`offDay` text NOT NULL,
	`missed` text NOT NULL,
	`whenDone` integer NOT NULL,
	`turn` text NOT NULL,
	`personIds` text NOT NULL,
	`followsId` text,
	`endsBefore` text,
	`createdAt` text NOT NULL,
	FOREIGN KEY (`listId`) REFERENCES `list`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `series_seq_ix` ON `series` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `series_list_ix` ON `series` (`listId`);--> statement-breakpoint
ALTER TABLE `item` ADD `seriesId` text REFERENCES series(id);--> statement-breakpoint
ALTER TABLE `item` ADD `recurrenceId` text;--> statement-breakpoint
ALTER TABLE `item` ADD `turn` text;--> statement-breakpoint
ALTER TABLE `item` ADD `missedAt` text;--> statement-breakpoint
CREATE INDEX `item_series_ix` ON `item` (`seriesId`);