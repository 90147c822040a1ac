ALTER TABLE `comment` ADD `answersId` text;--> statement-breakpoint
ALTER TABLE `comment` ADD `mentions` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `comment` ADD `correctedAt` text;--> statement-breakpoint
UPDATE `noticeChoices` SET `push` = json_insert(`push`, '$[#]', 'mentions') WHERE EXISTS (SELECT 1 FROM json_each(`push`) WHERE value = 'said');--> statement-breakpoint
UPDATE `noticeChoices` SET `mail` = json_insert(`mail`, '$[#]', 'mentions') WHERE EXISTS (SELECT 1 FROM json_each(`mail`) WHERE value = 'said');--> statement-breakpoint
UPDATE `noticeChoices` SET `bell` = json_insert(`bell`, '$[#]', 'mentions') WHERE `bell` IS NOT NULL AND EXISTS (SELECT 1 FROM json_each(`bell`) WHERE value = 'said');
