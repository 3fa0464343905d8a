-- What stands in the repair as promised was only wished for: it gives way to what is firm.
ALTER TABLE day_pin ADD COLUMN wished BOOLEAN NOT NULL DEFAULT FALSE AFTER goes_first;
