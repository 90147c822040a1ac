CREATE INDEX `item_pile_ix` ON `item` (`houseId`,`makerId`) WHERE "listId" IS NULL AND "parentId" IS NULL AND "removedAt" IS NULL;--> statement-breakpoint
CREATE INDEX `item_removed_ix` ON `item` (`houseId`) WHERE "removedAt" IS NOT NULL AND "purgedAt" IS NULL;--> statement-breakpoint
CREATE INDEX `part_person_ix` ON `part` (`personId`);--> statement-breakpoint
CREATE INDEX `part_open_ix` ON `part` (`houseId`) WHERE "excusedAt" IS NULL AND "takenBackAt" IS NULL AND "passedTo" IS NULL AND "standing" <> 'completed';--> statement-breakpoint
CREATE INDEX `part_nudged_ix` ON `part` (`houseId`) WHERE "nudgedAt" IS NOT NULL;--> statement-breakpoint
CREATE INDEX `part_completed_ix` ON `part` (`houseId`,`completedAt`) WHERE "part"."completedAt" is not null;--> statement-breakpoint
CREATE INDEX `wait_open_ix` ON `wait` (`houseId`) WHERE "endedAt" IS NULL;