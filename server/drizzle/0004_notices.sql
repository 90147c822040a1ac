CREATE TABLE `delivery` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`noticeId` text NOT NULL,
	`personId` text NOT NULL,
	`channel` text NOT NULL,
	`target` text NOT NULL,
	`state` text NOT NULL,
	`attempts` integer NOT NULL,
	`nextAt` text NOT NULL,
	`firstTriedAt` text,
	`why` text,
	`reportedAt` text,
	`settledAt` text
);
--> statement-breakpoint
CREATE INDEX `delivery_due_ix` ON `delivery` (`state`,`nextAt`);--> statement-breakpoint
CREATE TABLE `outsideLink` (
	`id` text PRIMARY KEY NOT NULL,
	`houseId` text NOT NULL,
	`personId` text NOT NULL,
	`createdAt` text NOT NULL,
	`withdrawnAt` text
);
--> statement-breakpoint
CREATE INDEX `outside_link_person_ix` ON `outsideLink` (`personId`);--> statement-breakpoint
CREATE TABLE `pushSubscription` (
	`id` text PRIMARY KEY NOT NULL,
	`deviceId` text NOT NULL,
	`accountId` text NOT NULL,
	`endpoint` text NOT NULL,
	`p256dh` text NOT NULL,
	`auth` text NOT NULL,
	`createdAt` text NOT NULL,
	FOREIGN KEY (`deviceId`) REFERENCES `device`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pushSubscription_endpoint_unique` ON `pushSubscription` (`endpoint`);--> statement-breakpoint
CREATE INDEX `push_account_ix` ON `pushSubscription` (`accountId`);--> statement-breakpoint
ALTER TABLE `person` ADD `email` text;--> statement-breakpoint
ALTER TABLE `person` ADD `phone` text;--> statement-breakpoint
ALTER TABLE `person` ADD `contact` text DEFAULT '' NOT NULL;