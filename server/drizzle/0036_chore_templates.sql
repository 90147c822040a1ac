ALTER TABLE `series` ADD `templateId` text;--> statement-breakpoint
ALTER TABLE `series` ADD `filling` text;