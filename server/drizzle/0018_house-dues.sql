CREATE TABLE `house_due` (
	`houseId` text PRIMARY KEY NOT NULL,
	`seq` integer NOT NULL,
	`at` text,
	`build` text NOT NULL
);
