CREATE TABLE `savedView` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`ownerId` text NOT NULL,
	`name` text NOT NULL,
	`filter` text NOT NULL,
	`isShared` integer NOT NULL,
	`group` text NOT NULL,
	`sort` text NOT NULL,
	`position` text NOT NULL,
	`removedAt` text
);
--> statement-breakpoint
CREATE INDEX `saved_view_seq_ix` ON `savedView` (`houseId`,`seq`);