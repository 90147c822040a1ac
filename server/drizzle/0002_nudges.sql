ALTER TABLE `house` ADD `pace` text DEFAULT 'usual' NOT NULL;--> statement-breakpoint
ALTER TABLE `item` ADD `pace` text;--> statement-breakpoint
ALTER TABLE `part` ADD `nudgedByHandAt` text;--> statement-breakpoint
ALTER TABLE `person` ADD `rest` text DEFAULT '{"hours":{"from":"21:00","to":"07:00"},"daysOff":[]}' NOT NULL;