ALTER TABLE `arrangement` ADD `isDescending` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `arrangement` ADD `layout` text DEFAULT 'rows' NOT NULL;--> statement-breakpoint
ALTER TABLE `arrangement` ADD `phoneLayout` text DEFAULT 'rows' NOT NULL;--> statement-breakpoint
ALTER TABLE `arrangement` ADD `boardBy` text DEFAULT 'person' NOT NULL;--> statement-breakpoint
ALTER TABLE `arrangement` ADD `columns` text;--> statement-breakpoint
ALTER TABLE `arrangement` ADD `titleWidth` integer DEFAULT 320 NOT NULL;--> statement-breakpoint
ALTER TABLE `savedView` ADD `layout` text DEFAULT 'rows' NOT NULL;--> statement-breakpoint
ALTER TABLE `savedView` ADD `boardBy` text DEFAULT 'person' NOT NULL;