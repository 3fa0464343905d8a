-- The ratio that the label of a two-part material prints: parts of resin (side A) to one of hardener (side B).
ALTER TABLE shelf_item
    ADD COLUMN ratio_by_volume DECIMAL(7, 3) NULL CHECK (ratio_by_volume > 0),
    ADD COLUMN ratio_by_weight DECIMAL(7, 3) NULL CHECK (ratio_by_weight > 0);
