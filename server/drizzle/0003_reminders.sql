CREATE TABLE `alarm` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`personId` text NOT NULL,
	`makerId` text NOT NULL,
	`trigger` text NOT NULL,
	`armedAt` text NOT NULL,
	`rungFor` text,
	`snoozedUntil` text,
	`removedAt` text,
	FOREIGN KEY (`itemId`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `alarm_seq_ix` ON `alarm` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `alarm_item_ix` ON `alarm` (`itemId`);--> statement-breakpoint
CREATE TABLE `noticeChoices` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`push` text NOT NULL,
	`mail` text NOT NULL,
	`lastCall` text,
	`calledOn` text
);
--> statement-breakpoint
CREATE INDEX `notice_choices_seq_ix` ON `noticeChoices` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `notice_choices_person_ix` ON `noticeChoices` (`personId`);--> statement-breakpoint
CREATE TABLE `timeAway` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`from` text NOT NULL,
	`to` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `time_away_seq_ix` ON `timeAway` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `time_away_person_ix` ON `timeAway` (`personId`);--> statement-breakpoint
CREATE TABLE `wait` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`makerId` text NOT NULL,
	`personId` text,
	`words` text NOT NULL,
	`askOn` text,
	`toldOn` text,
	`since` text NOT NULL,
	`endedAt` text,
	FOREIGN KEY (`itemId`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `wait_seq_ix` ON `wait` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `wait_item_ix` ON `wait` (`itemId`);--> statement-breakpoint
ALTER TABLE `item` ADD `purgedAt` text;