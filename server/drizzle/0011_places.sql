CREATE TABLE `errandRound` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`makerId` text NOT NULL,
	`personId` text NOT NULL,
	`date` text NOT NULL,
	`means` text NOT NULL,
	`startId` text,
	`endId` text,
	`stops` text NOT NULL,
	`passed` text NOT NULL,
	`startedAt` text NOT NULL,
	`endedAt` text
);
--> statement-breakpoint
CREATE INDEX `errand_round_seq_ix` ON `errandRound` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `errand_round_person_ix` ON `errandRound` (`personId`);--> statement-breakpoint
CREATE TABLE `visit` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`seq` integer NOT NULL,
	`stamps` text NOT NULL,
	`personId` text NOT NULL,
	`placeId` text NOT NULL,
	`enteredAt` text,
	`leftAt` text
);
--> statement-breakpoint
CREATE INDEX `visit_seq_ix` ON `visit` (`houseId`,`seq`);--> statement-breakpoint
CREATE INDEX `visit_person_ix` ON `visit` (`personId`);--> statement-breakpoint
CREATE INDEX `visit_place_ix` ON `visit` (`placeId`);--> statement-breakpoint
ALTER TABLE `alarm` ADD `rungById` text;--> statement-breakpoint
ALTER TABLE `place` ADD `makerId` text;--> statement-breakpoint
ALTER TABLE `place` ADD `position` text;--> statement-breakpoint
ALTER TABLE `place` ADD `radius` integer DEFAULT 100 NOT NULL;--> statement-breakpoint
ALTER TABLE `place` ADD `address` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `place` ADD `openingHours` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `place` ADD `seenBy` text;--> statement-breakpoint
CREATE INDEX `command_visits_ix` ON `command` (`at`) WHERE name IN ('visit.report', 'visit.forget');