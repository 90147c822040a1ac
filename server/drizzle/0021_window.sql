CREATE TABLE `house_day` (
	`houseId` text NOT NULL,
	`day` text NOT NULL,
	`seq` integer NOT NULL,
	PRIMARY KEY(`houseId`, `day`)
);
--> statement-breakpoint
CREATE TABLE `living` (
	`houseId` text NOT NULL,
	`itemId` text NOT NULL,
	PRIMARY KEY(`houseId`, `itemId`)
);
--> statement-breakpoint
DROP INDEX `item_list_ix`;--> statement-breakpoint
DROP INDEX `item_series_ix`;--> statement-breakpoint
CREATE INDEX `item_list_ix` ON `item` (`listId`,`seq`);--> statement-breakpoint
CREATE INDEX `item_series_ix` ON `item` (`seriesId`,`seq`);--> statement-breakpoint
CREATE INDEX `notice_unread_ix` ON `notice` (`personId`,`seq`) WHERE "readAt" IS NULL AND "withdrawnAt" IS NULL;
--> statement-breakpoint
INSERT INTO house_day ("houseId", day, seq) SELECT "houseId", substr(at, 1, 10), MIN(seq) FROM command WHERE seq IS NOT NULL GROUP BY "houseId", substr(at, 1, 10);
--> statement-breakpoint
WITH counting AS (
	SELECT p."itemId", i.policy, p.standing = 'completed' AND NOT (i.confirm AND p."tiedAt" IS NULL AND p."originId" IS NOT NULL AND p."originId" IS NOT p."personId") AS settled
	FROM part p JOIN item i ON i.id = p."itemId"
	WHERE p."excusedAt" IS NULL AND p."takenBackAt" IS NULL AND p."passedTo" IS NULL
), done AS (
	SELECT "itemId" FROM counting GROUP BY "itemId" HAVING CASE MAX(policy) WHEN 'any' THEN MAX(settled) ELSE MIN(settled) END = 1
), back AS (
	SELECT "itemId" FROM part
	WHERE standing = 'completed' AND "personId" IS NOT NULL AND "takenBackAt" IS NULL AND "putAwayAt" IS NULL
	AND (("giverId" IS NOT NULL AND "giverId" <> "personId") OR ("originId" IS NOT NULL AND "originId" <> "personId"))
)
INSERT INTO living ("houseId", "itemId") SELECT "houseId", id FROM item
WHERE "removedAt" IS NULL AND "purgedAt" IS NULL AND "missedAt" IS NULL
AND (id NOT IN (SELECT "itemId" FROM done) OR ("seriesId" IS NULL AND id IN (SELECT "itemId" FROM back)));
