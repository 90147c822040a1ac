ALTER TABLE `heldMail` ADD `files` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `heldMail` ADD `filesLeft` integer DEFAULT 0 NOT NULL;