CREATE TABLE `heldMail` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`personId` text NOT NULL,
	`sender` text NOT NULL,
	`path` text NOT NULL,
	`title` text NOT NULL,
	`notes` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `held_mail_person_ix` ON `heldMail` (`personId`,`at`);--> statement-breakpoint
CREATE TABLE `knownDevice` (
	`accountId` text NOT NULL,
	`secretHash` text NOT NULL,
	`usedAt` text NOT NULL,
	PRIMARY KEY(`accountId`, `secretHash`)
);
--> statement-breakpoint
CREATE TABLE `mailPath` (
	`personId` text NOT NULL,
	`sender` text NOT NULL,
	`path` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`personId`, `sender`, `path`)
);
--> statement-breakpoint
CREATE TABLE `mailStop` (
	`houseId` text NOT NULL,
	`personId` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`houseId`, `personId`)
);
--> statement-breakpoint
ALTER TABLE `outsideLink` ADD `usedAt` text;--> statement-breakpoint
CREATE INDEX `command_refused_ix` ON `command` (`at`) WHERE seq IS NULL;