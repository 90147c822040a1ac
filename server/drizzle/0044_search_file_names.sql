DELETE FROM "searchHouse";
