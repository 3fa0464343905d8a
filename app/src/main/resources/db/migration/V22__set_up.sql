-- What a shop says of itself once, besides its air and its place; what is not here is as it was installed.
CREATE TABLE shop_setting (
    name       VARCHAR(20)  NOT NULL PRIMARY KEY,
    value      VARCHAR(40)  NOT NULL,
    changed_by VARCHAR(40)  NOT NULL,
    changed_at DATETIME(3)  NOT NULL,
    CONSTRAINT shop_setting_by FOREIGN KEY (changed_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Steps of setting a shop up that were looked at. A shop that works already has been set up.
CREATE TABLE shop_set_up (
    step    VARCHAR(20) NOT NULL PRIMARY KEY,
    done_at DATETIME(3) NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
INSERT INTO shop_set_up (step, done_at)
SELECT s.step, UTC_TIMESTAMP(3)
FROM (SELECT 'PEOPLE' AS step UNION SELECT 'PLACE' UNION SELECT 'AIR' UNION SELECT 'UNITS' UNION SELECT 'HEAT' UNION SELECT 'SHELF'
      UNION SELECT 'PRACTICE') s
WHERE EXISTS (SELECT 1 FROM account);
