CREATE TABLE `membership` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`projectId` text NOT NULL,
	`listId` text,
	`itemId` text,
	`noteId` text,
	`byId` text NOT NULL,
	`endedAt` text
);
--> statement-breakpoint
CREATE INDEX `membership_seq_ix` ON `membership` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `membership_project_ix` ON `membership` (`projectId`);--> statement-breakpoint
CREATE INDEX `membership_list_ix` ON `membership` (`listId`);--> statement-breakpoint
CREATE INDEX `membership_item_ix` ON `membership` (`itemId`);--> statement-breakpoint
CREATE TABLE `project` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`makerId` text NOT NULL,
	`name` text NOT NULL,
	`purpose` text NOT NULL,
	`colour` text NOT NULL,
	`icon` text NOT NULL,
	`answerableId` text,
	`begins` text,
	`ends` text,
	`parentId` text,
	`position` text NOT NULL,
	`createdAt` text NOT NULL,
	`finishedAt` text,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `project_seq_ix` ON `project` (`houseId`,`seq`);