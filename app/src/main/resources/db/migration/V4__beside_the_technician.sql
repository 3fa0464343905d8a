-- More can be read at the bench; what was done can be put right, handed over and signed. Events read in from elsewhere keep the name
-- of who did them.
ALTER TABLE bench_event
    MODIFY COLUMN kind VARCHAR(8) NOT NULL
        CHECK (kind IN ('START', 'CLOCK', 'DONE', 'GATE', 'READING', 'NOTE', 'UNDO', 'AMEND', 'TAKE', 'SIGN')),
    MODIFY COLUMN quantity VARCHAR(12) NULL CHECK (quantity IN ('DEPTH_MM', 'FILLER_G', 'CREAM_G', 'SURFACE_C', 'AIR_C',
        'RH_PERCENT', 'FILM_UM', 'UV', 'INJURY_MM', 'ANGLE_DEG', 'USED_ML', 'USED_G')),
    ADD COLUMN by_name VARCHAR(80) NULL,
    DROP CONSTRAINT bench_event_undo,
    ADD CONSTRAINT bench_event_target CHECK ((kind IN ('UNDO', 'AMEND')) = (target IS NOT NULL)),
    ADD CONSTRAINT bench_event_amend CHECK (kind <> 'AMEND' OR (value IS NOT NULL AND text <> ''));

-- What each repair has taken from each item so far; the shelf follows the difference.
CREATE TABLE shelf_use (
    repair_id BIGINT        NOT NULL,
    item_id   VARCHAR(40)   NOT NULL,
    quantity  DECIMAL(9, 1) NOT NULL,
    PRIMARY KEY (repair_id, item_id),
    CONSTRAINT shelf_use_repair FOREIGN KEY (repair_id) REFERENCES repair (id),
    CONSTRAINT shelf_use_item FOREIGN KEY (item_id) REFERENCES shelf_item (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Who came in, and what was changed besides repairs. Only ever added to.
CREATE TABLE audit (
    id         BIGINT       NOT NULL AUTO_INCREMENT PRIMARY KEY,
    at         DATETIME(3)  NOT NULL,
    account_id VARCHAR(40)  NULL,
    act        VARCHAR(16)  NOT NULL CHECK (act IN ('SIGN_IN', 'WRONG', 'LOCKED', 'RULE', 'SHELF', 'RECORD', 'AIR')),
    said       VARCHAR(200) NOT NULL,
    KEY audit_at (at),
    CONSTRAINT audit_by FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
CREATE TRIGGER audit_never_changed BEFORE UPDATE ON audit FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the audit is never changed';
CREATE TRIGGER audit_never_deleted BEFORE DELETE ON audit FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the audit is never deleted';
