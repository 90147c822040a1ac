CREATE TABLE `template` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`ownerId` text NOT NULL,
	`isShared` integer NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`purpose` text NOT NULL,
	`colour` text NOT NULL,
	`icon` text NOT NULL,
	`listKind` text NOT NULL,
	`anchorName` text NOT NULL,
	`keptOn` text,
	`sections` text NOT NULL,
	`position` text NOT NULL,
	`createdAt` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `template_seq_ix` ON `template` (`houseId`,`seq`);--> statement-breakpoint
CREATE TABLE `templateItem` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`templateId` text NOT NULL,
	`parentId` text,
	`sectionId` text,
	`title` text NOT NULL,
	`notes` text NOT NULL,
	`importance` integer NOT NULL,
	`effort` integer,
	`energy` text,
	`dayPart` text,
	`tagIds` text NOT NULL,
	`situationIds` text NOT NULL,
	`wanted` text,
	`placeId` text,
	`policy` text NOT NULL,
	`confirm` integer NOT NULL,
	`pace` text,
	`due` text,
	`start` text,
	`holders` text NOT NULL,
	`position` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `template_item_seq_ix` ON `templateItem` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `template_item_template_ix` ON `templateItem` (`templateId`);