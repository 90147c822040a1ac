ALTER TABLE `wait` ADD `onItemId` text;--> statement-breakpoint
ALTER TABLE `wait` ADD `isFollowed` integer DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX `wait_on_ix` ON `wait` (`onItemId`);