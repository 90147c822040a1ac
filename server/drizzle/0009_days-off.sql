ALTER TABLE `house` ADD `region` text;--> statement-breakpoint
ALTER TABLE `house` ADD `holidays` text;--> statement-breakpoint
ALTER TABLE `house` ADD `daysOff` text DEFAULT '[]' NOT NULL;