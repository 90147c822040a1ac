CREATE TABLE `matter` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`makerId` text NOT NULL,
	`personId` text NOT NULL,
	`itemId` text,
	`words` text NOT NULL,
	`shared` integer NOT NULL,
	`at` text NOT NULL,
	`settledAt` text,
	`noteId` text,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `matter_seq_ix` ON `matter` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `matter_person_ix` ON `matter` (`personId`);--> statement-breakpoint
CREATE INDEX `matter_item_ix` ON `matter` (`itemId`) WHERE "matter"."itemId" is not null;--> statement-breakpoint
CREATE TABLE `meetingNote` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`makerId` text NOT NULL,
	`personIds` text NOT NULL,
	`date` text NOT NULL,
	`text` text NOT NULL,
	`shared` integer NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `meeting_note_seq_ix` ON `meetingNote` (`houseId`,`seq`);--> statement-breakpoint
CREATE TABLE `talk` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`makerId` text NOT NULL,
	`personId` text NOT NULL,
	`weekday` integer NOT NULL,
	`time` text NOT NULL,
	`endedAt` text
);
--> statement-breakpoint
CREATE INDEX `talk_seq_ix` ON `talk` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `talk_person_ix` ON `talk` (`personId`);--> statement-breakpoint
ALTER TABLE `item` ADD `noteId` text;