ALTER TABLE `timeAway` ADD `standInId` text;--> statement-breakpoint
CREATE INDEX `time_away_stand_in_ix` ON `timeAway` (`standInId`);