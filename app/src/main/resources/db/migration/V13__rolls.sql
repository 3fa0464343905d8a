-- Cloth and mesh are kept by area and by the width of their roll.
ALTER TABLE shelf_item
    DROP CONSTRAINT IF EXISTS `shelf_item_unit_word`,
    MODIFY COLUMN unit VARCHAR(8) NOT NULL CHECK (unit IN ('g', 'mL', 'pieces', 'cm²')),
    ADD COLUMN roll_mm DECIMAL(6, 1) NULL CHECK (roll_mm > 0),
    ADD CONSTRAINT shelf_item_roll CHECK ((unit = 'cm²') = (roll_mm IS NOT NULL));
