CREATE TABLE `searchDoc` (
	`id` integer PRIMARY KEY NOT NULL,
	`rowId` text NOT NULL,
	`itemId` text NOT NULL,
	`topId` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `search_doc_row_ux` ON `searchDoc` (`rowId`);--> statement-breakpoint
CREATE INDEX `search_doc_item_ix` ON `searchDoc` (`itemId`);--> statement-breakpoint
CREATE VIRTUAL TABLE `searchText` USING fts5(house, title, notes, said, content='', contentless_delete=1, prefix='1 2 3', tokenize='unicode61 remove_diacritics 0');--> statement-breakpoint
CREATE TABLE `searchHouse` (
	`houseId` text PRIMARY KEY NOT NULL
);
