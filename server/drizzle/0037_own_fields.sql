CREATE TABLE `fieldValue` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`fieldId` text NOT NULL,
	`kind` text NOT NULL,
	`value` text,
	`isCleared` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `fieldValue_seq_ix` ON `fieldValue` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `fieldValue_item_ix` ON `fieldValue` (`itemId`);--> statement-breakpoint
CREATE INDEX `fieldValue_field_ix` ON `fieldValue` (`fieldId`);--> statement-breakpoint
CREATE TABLE `ownField` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`listId` text,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`unit` text NOT NULL,
	`options` text NOT NULL,
	`position` text NOT NULL,
	`createdAt` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `ownField_seq_ix` ON `ownField` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `ownField_list_ix` ON `ownField` (`listId`);