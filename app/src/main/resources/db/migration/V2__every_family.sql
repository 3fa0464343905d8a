-- Shelf: when a pack was opened, what a full one holds, flash time; what was thrown away stays readable.
ALTER TABLE shelf_item
    ADD COLUMN opened        DATE          NULL,
    ADD COLUMN pack_quantity DECIMAL(9, 1) NULL CHECK (pack_quantity > 0),
    ADD COLUMN flash_min     DECIMAL(6, 2) NULL CHECK (flash_min > 0),
    ADD COLUMN discarded_at  DATETIME(3)   NULL,
    ADD COLUMN version       INT           NOT NULL DEFAULT 1;

-- What was done with an item, in order. Only ever added to.
CREATE TABLE shelf_act (
    id         BIGINT        NOT NULL AUTO_INCREMENT PRIMARY KEY,
    item_id    VARCHAR(40)   NOT NULL,
    act        VARCHAR(8)    NOT NULL CHECK (act IN ('ADD', 'EDIT', 'RECEIVE', 'OPEN', 'USE', 'DISCARD', 'IMPORT')),
    quantity   DECIMAL(9, 1) NOT NULL,
    said       VARCHAR(200)  NOT NULL,
    account_id VARCHAR(40)   NOT NULL,
    at         DATETIME(3)   NOT NULL,
    KEY shelf_act_item (item_id, id),
    CONSTRAINT shelf_act_of FOREIGN KEY (item_id) REFERENCES shelf_item (id),
    CONSTRAINT shelf_act_by FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
CREATE TRIGGER shelf_act_never_changed BEFORE UPDATE ON shelf_act FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'what was done with the shelf is never changed';
CREATE TRIGGER shelf_act_never_deleted BEFORE DELETE ON shelf_act FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'what was done with the shelf is never deleted';

-- A repair's damage is no longer dents alone.
UPDATE repair SET draft = JSON_REMOVE(JSON_SET(draft, '$.damages', JSON_EXTRACT(draft, '$.dents')), '$.dents')
    WHERE JSON_EXISTS(draft, '$.dents');
DROP TRIGGER frozen_plan_never_changed;
UPDATE frozen_plan SET plan = JSON_REMOVE(JSON_SET(plan, '$.draft.damages', JSON_EXTRACT(plan, '$.draft.dents')), '$.draft.dents')
    WHERE JSON_EXISTS(plan, '$.draft.dents');
CREATE TRIGGER frozen_plan_never_changed BEFORE UPDATE ON frozen_plan FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a plan that was started is never changed';
