-- what was kept as said comes alive: each such item is the first of a chore that has its id
UPDATE `sequence` SET `seq` = `seq` + 1 WHERE `houseId` IN (SELECT `houseId` FROM `item` WHERE `rule` IS NOT NULL);
--> statement-breakpoint
INSERT INTO `series` (`id`, `houseId`, `seq`, `stamps`, `listId`, `sectionId`, `makerId`, `title`, `notes`, `importance`, `effort`, `energy`, `tagIds`, `situationIds`, `placeId`, `policy`, `confirm`, `pace`, `steps`, `alarms`, `rrule`, `afterDone`, `dtstart`, `offDay`, `missed`, `whenDone`, `turn`, `personIds`, `createdAt`)
SELECT i.`id`, i.`houseId`, (SELECT s.`seq` FROM `sequence` s WHERE s.`houseId` = i.`houseId`), i.`stamps`, i.`listId`, i.`sectionId`, i.`makerId`, i.`title`, i.`notes`, i.`importance`, i.`effort`, i.`energy`, i.`tagIds`, i.`situationIds`, i.`placeId`, i.`policy`, i.`confirm`, i.`pace`, '[]', '[]',
  json_extract(i.`rule`, '$.rrule'), json_extract(i.`rule`, '$.afterDone'), substr(coalesce(i.`start`, i.`due`, i.`createdAt`), 1, 10) || coalesce('T' || json_extract(i.`rule`, '$.time'), ''),
  'keep', 'keep', 0, 'fixed', (SELECT json_group_array(p.`personId`) FROM `part` p WHERE p.`itemId` = i.`id` AND p.`personId` IS NOT NULL AND p.`takenBackAt` IS NULL), i.`createdAt`
FROM `item` i WHERE i.`rule` IS NOT NULL AND i.`parentId` IS NULL AND i.`removedAt` IS NULL;
--> statement-breakpoint
UPDATE `item` SET `seriesId` = `id`,
  `seq` = (SELECT s.`seq` FROM `sequence` s WHERE s.`houseId` = `item`.`houseId`),
  `recurrenceId` = (SELECT c.`dtstart` FROM `series` c WHERE c.`id` = `item`.`id`),
  `due` = coalesce(`due`, (SELECT c.`dtstart` FROM `series` c WHERE c.`id` = `item`.`id`)),
  `turn` = json_object('kind', 'fixed', 'queue', json('[]'), 'countsFor', NULL, 'minutes', NULL, 'skipped', json('[]'))
WHERE `id` IN (SELECT `id` FROM `series`);
--> statement-breakpoint
ALTER TABLE `item` DROP COLUMN `rule`;