CREATE TABLE `attachment` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`itemId` text NOT NULL,
	`partId` text,
	`authorId` text NOT NULL,
	`name` text NOT NULL,
	`url` text,
	`size` integer,
	`mediaType` text,
	`sha256` text,
	`width` integer,
	`height` integer,
	`at` text NOT NULL,
	`arrivedAt` text,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `attachment_seq_ix` ON `attachment` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `attachment_item_ix` ON `attachment` (`itemId`);--> statement-breakpoint
CREATE INDEX `attachment_sha_ix` ON `attachment` (`sha256`);--> statement-breakpoint
CREATE TABLE `kept_file` (
	`sha256` text PRIMARY KEY NOT NULL,
	`size` integer NOT NULL,
	`mediaType` text NOT NULL,
	`width` integer,
	`height` integer,
	`isReady` integer NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `kept_file_unready_ix` ON `kept_file` (`isReady`);--> statement-breakpoint
CREATE TABLE `upload` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`size` integer NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `upload_house_ix` ON `upload` (`houseId`);