CREATE TABLE `account` (
	`id` text PRIMARY KEY NOT NULL,
	`email` text NOT NULL,
	`name` text NOT NULL,
	`passwordHash` text NOT NULL,
	`theme` text NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `account_email_unique` ON `account` (`email`);--> statement-breakpoint
CREATE TABLE `activity` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text,
	`listId` text,
	`actorId` text,
	`kind` text NOT NULL,
	`params` text NOT NULL,
	`at` text NOT NULL,
	`arrivedAt` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `activity_seq_ix` ON `activity` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `activity_item_ix` ON `activity` (`itemId`) WHERE "activity"."itemId" is not null;--> statement-breakpoint
CREATE INDEX `activity_list_ix` ON `activity` (`listId`) WHERE "activity"."listId" is not null;--> statement-breakpoint
CREATE TABLE `bundle` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`ownerId` text NOT NULL,
	`name` text NOT NULL,
	`position` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `bundle_seq_ix` ON `bundle` (`houseId`,`seq`);--> statement-breakpoint
CREATE TABLE `captureToken` (
	`id` text PRIMARY KEY NOT NULL,
	`secretHash` text NOT NULL,
	`accountId` text NOT NULL,
	`houseId` text NOT NULL,
	`name` text NOT NULL,
	`createdAt` text NOT NULL,
	`lastUsedAt` text,
	FOREIGN KEY (`accountId`) REFERENCES `account`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `captureToken_secretHash_unique` ON `captureToken` (`secretHash`);--> statement-breakpoint
CREATE INDEX `capture_token_account_ix` ON `captureToken` (`accountId`);--> statement-breakpoint
CREATE TABLE `command` (
	`accountId` text NOT NULL,
	`id` text NOT NULL,
	`houseId` text NOT NULL,
	`name` text NOT NULL,
	`payload` text NOT NULL,
	`actorId` text,
	`seq` integer,
	`changes` text NOT NULL,
	`outcome` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`id`, `accountId`)
);
--> statement-breakpoint
CREATE TABLE `comment` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`partId` text,
	`authorId` text NOT NULL,
	`text` text NOT NULL,
	`kind` text NOT NULL,
	`audience` text NOT NULL,
	`at` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `comment_seq_ix` ON `comment` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `comment_item_ix` ON `comment` (`itemId`);--> statement-breakpoint
CREATE TABLE `device` (
	`id` text PRIMARY KEY NOT NULL,
	`secretHash` text NOT NULL,
	`accountId` text NOT NULL,
	`label` text NOT NULL,
	`createdAt` text NOT NULL,
	`lastSeenAt` text NOT NULL,
	FOREIGN KEY (`accountId`) REFERENCES `account`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `device_secretHash_unique` ON `device` (`secretHash`);--> statement-breakpoint
CREATE INDEX `device_account_ix` ON `device` (`accountId`);--> statement-breakpoint
CREATE TABLE `house` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`name` text NOT NULL,
	`zone` text NOT NULL,
	`dayParts` text NOT NULL,
	`createdOn` text NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `house_seq_ix` ON `house` (`houseId`,`seq`);--> statement-breakpoint
CREATE TABLE `invitation` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`makerId` text NOT NULL,
	`role` text NOT NULL,
	`lists` text NOT NULL,
	`uses` text NOT NULL,
	`token` text NOT NULL,
	`madeAt` text NOT NULL,
	`expiresAt` text NOT NULL,
	`withdrawnAt` text,
	`joined` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `invitation_seq_ix` ON `invitation` (`houseId`,`seq`);--> statement-breakpoint
CREATE UNIQUE INDEX `invitation_token_ix` ON `invitation` (`token`);--> statement-breakpoint
CREATE TABLE `item` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`listId` text,
	`sectionId` text,
	`parentId` text,
	`makerId` text NOT NULL,
	`title` text NOT NULL,
	`notes` text NOT NULL,
	`due` text,
	`start` text,
	`importance` integer NOT NULL,
	`effort` integer,
	`energy` text,
	`tagIds` text NOT NULL,
	`situationIds` text NOT NULL,
	`placeId` text,
	`rule` text,
	`position` text NOT NULL,
	`policy` text NOT NULL,
	`confirm` integer NOT NULL,
	`createdAt` text NOT NULL,
	`removedAt` text,
	FOREIGN KEY (`listId`) REFERENCES `list`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `item_seq_ix` ON `item` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `item_list_ix` ON `item` (`listId`);--> statement-breakpoint
CREATE INDEX `item_parent_ix` ON `item` (`parentId`);--> statement-breakpoint
CREATE TABLE `list` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`ownerId` text NOT NULL,
	`bundleId` text,
	`name` text NOT NULL,
	`purpose` text NOT NULL,
	`colour` text NOT NULL,
	`icon` text NOT NULL,
	`kind` text NOT NULL,
	`position` text NOT NULL,
	`filedAt` text,
	`removedAt` text,
	FOREIGN KEY (`bundleId`) REFERENCES `bundle`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `list_seq_ix` ON `list` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `list_bundle_ix` ON `list` (`bundleId`);--> statement-breakpoint
CREATE TABLE `notice` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`itemId` text,
	`kind` text NOT NULL,
	`byId` text,
	`at` text NOT NULL,
	`params` text NOT NULL,
	`readAt` text,
	`withdrawnAt` text
);
--> statement-breakpoint
CREATE INDEX `notice_seq_ix` ON `notice` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `notice_person_ix` ON `notice` (`personId`);--> statement-breakpoint
CREATE TABLE `part` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`personId` text,
	`standing` text NOT NULL,
	`percent` real NOT NULL,
	`seenAt` text,
	`completedAt` text,
	`arrivedAt` text,
	`completedBy` text,
	`stood` text,
	`tiedAt` text,
	`message` text NOT NULL,
	`giverId` text,
	`originId` text,
	`givenAt` text,
	`passedTo` text,
	`excusedAt` text,
	`takenBackAt` text,
	`lastSignAt` text,
	`nudgedAt` text,
	`unanswered` integer NOT NULL,
	`putAwayAt` text,
	`plan` text,
	`shelvedAt` text,
	`pulledInto` text,
	`takenOff` text,
	`askAgain` text,
	`ownOrder` text,
	FOREIGN KEY (`itemId`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `part_seq_ix` ON `part` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `part_item_ix` ON `part` (`itemId`);--> statement-breakpoint
CREATE TABLE `person` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`accountId` text,
	`name` text NOT NULL,
	`mark` text NOT NULL,
	`colour` text NOT NULL,
	`pattern` text NOT NULL,
	`role` text NOT NULL,
	`joinedAt` text NOT NULL,
	`endedAt` text
);
--> statement-breakpoint
CREATE INDEX `person_seq_ix` ON `person` (`houseId`,`seq`);--> statement-breakpoint
CREATE UNIQUE INDEX `person_account_ix` ON `person` (`accountId`,`houseId`);--> statement-breakpoint
CREATE TABLE `place` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`name` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `place_seq_ix` ON `place` (`houseId`,`seq`);--> statement-breakpoint
CREATE TABLE `section` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`listId` text NOT NULL,
	`name` text NOT NULL,
	`position` text NOT NULL,
	`removedAt` text,
	FOREIGN KEY (`listId`) REFERENCES `list`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `section_seq_ix` ON `section` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `section_list_ix` ON `section` (`listId`);--> statement-breakpoint
CREATE TABLE `sequence` (
	`houseId` text PRIMARY KEY NOT NULL,
	`seq` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `setting` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `share` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`listId` text NOT NULL,
	`personId` text NOT NULL,
	`access` text,
	FOREIGN KEY (`listId`) REFERENCES `list`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `share_seq_ix` ON `share` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `share_list_ix` ON `share` (`listId`);--> statement-breakpoint
CREATE TABLE `sight` (
	`houseId` text NOT NULL,
	`personId` text NOT NULL,
	`seq` integer NOT NULL,
	`noun` text NOT NULL,
	`rowId` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `sight_ix` ON `sight` (`houseId`,`personId`,`seq`);--> statement-breakpoint
CREATE TABLE `situation` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `situation_seq_ix` ON `situation` (`houseId`,`seq`);--> statement-breakpoint
CREATE TABLE `tag` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`makerId` text NOT NULL,
	`name` text NOT NULL,
	`colour` text NOT NULL,
	`parentId` text,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `tag_seq_ix` ON `tag` (`houseId`,`seq`);--> statement-breakpoint
CREATE TABLE `watch` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`personId` text NOT NULL,
	`on` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `watch_seq_ix` ON `watch` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `watch_item_ix` ON `watch` (`itemId`);