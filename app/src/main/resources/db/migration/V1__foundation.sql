-- People and their sign-ins.
CREATE TABLE account (
    id            VARCHAR(40)  NOT NULL PRIMARY KEY,
    name          VARCHAR(80)  NOT NULL,
    role          VARCHAR(12)  NOT NULL CHECK (role IN ('TECHNICIAN', 'LEAD', 'APPRENTICE')),
    password_hash VARCHAR(120) NOT NULL CHECK (CHAR_LENGTH(password_hash) >= 40)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Failures by the name that was typed, whether or not such an account exists, so that nothing is given away.
CREATE TABLE sign_in_failure (
    typed_name   VARCHAR(40) NOT NULL PRIMARY KEY,
    failures     INT         NOT NULL CHECK (failures >= 0),
    locked_until DATETIME(3) NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- The shop's air, one line.
CREATE TABLE shop_air (
    id         TINYINT      NOT NULL PRIMARY KEY CHECK (id = 1),
    temp_c     DECIMAL(4, 1) NOT NULL CHECK (temp_c BETWEEN -10 AND 50),
    rh_percent DECIMAL(4, 1) NOT NULL CHECK (rh_percent BETWEEN 1 AND 100),
    changed_at DATETIME(3)  NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
INSERT INTO shop_air VALUES (1, 20.0, 50.0, UTC_TIMESTAMP(3));

-- House rules as a history; the newest line of a question holds.
CREATE TABLE house_rule_change (
    id         BIGINT      NOT NULL AUTO_INCREMENT PRIMARY KEY,
    question   VARCHAR(40) NOT NULL,
    answer     VARCHAR(40) NOT NULL,
    changed_by VARCHAR(40) NOT NULL,
    changed_at DATETIME(3) NOT NULL,
    KEY house_rule_question (question, id),
    CONSTRAINT house_rule_by FOREIGN KEY (changed_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What stands on the shelf, with what its own label says.
CREATE TABLE shelf_item (
    id               VARCHAR(40)   NOT NULL PRIMARY KEY,
    class_id         VARCHAR(40)   NOT NULL,
    name             VARCHAR(80)   NOT NULL,
    lot              VARCHAR(40)   NOT NULL,
    expires          DATE          NULL,
    quantity         DECIMAL(9, 1) NOT NULL CHECK (quantity >= 0),
    unit             VARCHAR(8)    NOT NULL CHECK (unit IN ('g', 'mL', 'pieces')),
    work_min         DECIMAL(6, 2) NULL CHECK (work_min > 0),
    dose_percent     DECIMAL(4, 2) NULL CHECK (dose_percent BETWEEN 0.1 AND 10),
    density_g_per_ml DECIMAL(5, 3) NULL CHECK (density_g_per_ml BETWEEN 0.1 AND 10),
    grading          VARCHAR(8)    NULL,
    grade            INT           NULL CHECK (grade > 0),
    wet              VARCHAR(8)    NOT NULL DEFAULT 'DRY' CHECK (wet IN ('DRY', 'WET_ONLY'))
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE shelf_label_time (
    item_id VARCHAR(40)   NOT NULL,
    at_c    DECIMAL(4, 1) NOT NULL,
    minutes DECIMAL(7, 2) NOT NULL CHECK (minutes > 0),
    PRIMARY KEY (item_id, at_c),
    CONSTRAINT shelf_label_item FOREIGN KEY (item_id) REFERENCES shelf_item (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A repair as typed; version is the optimistic lock.
CREATE TABLE repair (
    id         BIGINT      NOT NULL AUTO_INCREMENT PRIMARY KEY,
    draft      LONGTEXT    NOT NULL CHECK (JSON_VALID(draft)),
    version    INT         NOT NULL DEFAULT 1 CHECK (version >= 1),
    created_by VARCHAR(40) NOT NULL,
    created_at DATETIME(3) NOT NULL,
    changed_by VARCHAR(40) NOT NULL,
    changed_at DATETIME(3) NOT NULL,
    client_id  CHAR(36)    NOT NULL UNIQUE,
    CONSTRAINT repair_created_by FOREIGN KEY (created_by) REFERENCES account (id),
    CONSTRAINT repair_changed_by FOREIGN KEY (changed_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- The plan as it was when the work began, with the rule book that made it. Written once.
CREATE TABLE frozen_plan (
    repair_id BIGINT      NOT NULL PRIMARY KEY,
    rule_book VARCHAR(12) NOT NULL,
    frozen_at DATETIME(3) NOT NULL,
    frozen_by VARCHAR(40) NOT NULL,
    plan      LONGTEXT    NOT NULL CHECK (JSON_VALID(plan)),
    CONSTRAINT frozen_plan_repair FOREIGN KEY (repair_id) REFERENCES repair (id),
    CONSTRAINT frozen_plan_by FOREIGN KEY (frozen_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What happened at the bench, in the order it was received. Only ever added to.
CREATE TABLE bench_event (
    seq         BIGINT       NOT NULL AUTO_INCREMENT PRIMARY KEY,
    id          CHAR(36)     NOT NULL UNIQUE,
    repair_id   BIGINT       NOT NULL,
    kind        VARCHAR(8)   NOT NULL CHECK (kind IN ('START', 'CLOCK', 'DONE', 'GATE', 'READING', 'NOTE', 'UNDO')),
    at          DATETIME(3)  NOT NULL,
    received_at DATETIME(3)  NOT NULL,
    account_id  VARCHAR(40)  NOT NULL,
    step        VARCHAR(200) NOT NULL,
    answer      VARCHAR(40)  NOT NULL,
    quantity    VARCHAR(12)  NULL CHECK (quantity IN ('DEPTH_MM', 'FILLER_G', 'CREAM_G', 'SURFACE_C')),
    value       DOUBLE       NULL,
    text        VARCHAR(2000) NOT NULL,
    target      CHAR(36)     NULL,
    KEY bench_event_repair (repair_id, seq),
    CONSTRAINT bench_event_plan FOREIGN KEY (repair_id) REFERENCES frozen_plan (repair_id),
    CONSTRAINT bench_event_by FOREIGN KEY (account_id) REFERENCES account (id),
    CONSTRAINT bench_event_reading CHECK ((kind = 'READING') = (quantity IS NOT NULL AND value IS NOT NULL)),
    CONSTRAINT bench_event_undo CHECK ((kind = 'UNDO') = (target IS NOT NULL))
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TRIGGER bench_event_never_changed BEFORE UPDATE ON bench_event FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'bench events are never changed';
CREATE TRIGGER bench_event_never_deleted BEFORE DELETE ON bench_event FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'bench events are never deleted';
CREATE TRIGGER frozen_plan_never_changed BEFORE UPDATE ON frozen_plan FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a plan that was started is never changed';
CREATE TRIGGER frozen_plan_never_deleted BEFORE DELETE ON frozen_plan FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a plan that was started is never deleted';

-- Signed-in sessions.
CREATE TABLE SPRING_SESSION (
    PRIMARY_ID            CHAR(36) NOT NULL,
    SESSION_ID            CHAR(36) NOT NULL,
    CREATION_TIME         BIGINT   NOT NULL,
    LAST_ACCESS_TIME      BIGINT   NOT NULL,
    MAX_INACTIVE_INTERVAL INT      NOT NULL,
    EXPIRY_TIME           BIGINT   NOT NULL,
    PRINCIPAL_NAME        VARCHAR(100),
    CONSTRAINT SPRING_SESSION_PK PRIMARY KEY (PRIMARY_ID)
) ENGINE = InnoDB ROW_FORMAT = DYNAMIC;
CREATE UNIQUE INDEX SPRING_SESSION_IX1 ON SPRING_SESSION (SESSION_ID);
CREATE INDEX SPRING_SESSION_IX2 ON SPRING_SESSION (EXPIRY_TIME);
CREATE INDEX SPRING_SESSION_IX3 ON SPRING_SESSION (PRINCIPAL_NAME);
CREATE TABLE SPRING_SESSION_ATTRIBUTES (
    SESSION_PRIMARY_ID CHAR(36)     NOT NULL,
    ATTRIBUTE_NAME     VARCHAR(200) NOT NULL,
    ATTRIBUTE_BYTES    BLOB         NOT NULL,
    CONSTRAINT SPRING_SESSION_ATTRIBUTES_PK PRIMARY KEY (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
    CONSTRAINT SPRING_SESSION_ATTRIBUTES_FK FOREIGN KEY (SESSION_PRIMARY_ID) REFERENCES SPRING_SESSION (PRIMARY_ID) ON DELETE CASCADE
) ENGINE = InnoDB ROW_FORMAT = DYNAMIC;
