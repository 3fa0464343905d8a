-- The device whose readings go to a repair by themselves, for whom.
CREATE TABLE device_log (
    kind       VARCHAR(8)  NOT NULL PRIMARY KEY CHECK (kind IN ('SCALE', 'SURFACE', 'AIR', 'FILM', 'UV', 'TYRE')),
    repair_id  BIGINT      NOT NULL,
    account_id VARCHAR(40) NOT NULL,
    since      DATETIME(3) NOT NULL,
    CONSTRAINT device_log_repair FOREIGN KEY (repair_id) REFERENCES repair (id),
    CONSTRAINT device_log_by FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Pictures of a repair, drawn anew from what was sent so that nothing but the picture is kept. Taken away by a mark, never erased.
CREATE TABLE picture (
    id         BIGINT       NOT NULL AUTO_INCREMENT PRIMARY KEY,
    repair_id  BIGINT       NOT NULL,
    client_id  CHAR(36)     NOT NULL UNIQUE,
    moment     VARCHAR(8)   NOT NULL CHECK (moment IN ('BEFORE', 'DURING', 'AFTER')),
    at         DATETIME(3)  NOT NULL,
    account_id VARCHAR(40)  NOT NULL,
    width      INT          NOT NULL CHECK (width > 0),
    height     INT          NOT NULL CHECK (height > 0),
    sha256     CHAR(64)     NOT NULL,
    jpeg       MEDIUMBLOB   NOT NULL,
    away_at    DATETIME(3)  NULL,
    away_by    VARCHAR(40)  NULL,
    away_why   VARCHAR(200) NULL,
    KEY picture_repair (repair_id, id),
    CONSTRAINT picture_repair_fk FOREIGN KEY (repair_id) REFERENCES repair (id),
    CONSTRAINT picture_by FOREIGN KEY (account_id) REFERENCES account (id),
    CONSTRAINT picture_away_by FOREIGN KEY (away_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

ALTER TABLE audit
    MODIFY COLUMN act VARCHAR(16) NOT NULL
        CHECK (act IN ('SIGN_IN', 'WRONG', 'LOCKED', 'RULE', 'SHELF', 'RECORD', 'AIR', 'PICTURE'));
