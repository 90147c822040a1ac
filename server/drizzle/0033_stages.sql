ALTER TABLE `item` ADD `stageId` text;--> statement-breakpoint
ALTER TABLE `list` ADD `stages` text DEFAULT '[]' NOT NULL;