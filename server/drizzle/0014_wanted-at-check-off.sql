ALTER TABLE `item` ADD `wanted` text;--> statement-breakpoint
ALTER TABLE `part` ADD `answer` text;--> statement-breakpoint
ALTER TABLE `series` ADD `wanted` text;