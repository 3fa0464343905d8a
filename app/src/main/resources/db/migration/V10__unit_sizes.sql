-- What a tyre unit fits by its label: the channel its stem fills, its patch across, the class of tyre.
ALTER TABLE shelf_item
    ADD COLUMN stem_mm DECIMAL(5, 2) NULL CHECK (stem_mm > 0),
    ADD COLUMN cap_mm DECIMAL(6, 2) NULL CHECK (cap_mm > stem_mm),
    ADD COLUMN tyre VARCHAR(8) NULL CHECK (tyre IN ('CAR', 'TRUCK')),
    ADD CONSTRAINT shelf_item_unit CHECK ((stem_mm IS NULL) = (cap_mm IS NULL) AND (cap_mm IS NULL) = (tyre IS NULL));
