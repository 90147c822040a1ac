CREATE TABLE `preferences` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`accent` text,
	`backdrop` text
);
--> statement-breakpoint
CREATE INDEX `preferences_seq_ix` ON `preferences` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `preferences_person_ix` ON `preferences` (`personId`);--> statement-breakpoint
CREATE TABLE `stretch` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`beganAt` text NOT NULL,
	`minutes` integer NOT NULL,
	`endedAt` text
);
--> statement-breakpoint
CREATE INDEX `stretch_seq_ix` ON `stretch` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `stretch_person_ix` ON `stretch` (`personId`);--> statement-breakpoint
CREATE INDEX `stretch_open_ix` ON `stretch` (`houseId`) WHERE "endedAt" IS NULL;