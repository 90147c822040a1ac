ALTER TABLE `arrangement` ADD `isHidden` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `arrangement` ADD `pinLimit` integer DEFAULT 7 NOT NULL;