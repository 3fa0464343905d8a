-- What somebody said of a repair's place in the day.
CREATE TABLE day_pin (
    repair_id  BIGINT      NOT NULL PRIMARY KEY,
    person     VARCHAR(40) NULL,
    not_before DATETIME(3) NULL,
    goes_first BOOLEAN     NOT NULL,
    changed_by VARCHAR(40) NOT NULL,
    changed_at DATETIME(3) NOT NULL,
    CONSTRAINT day_pin_repair FOREIGN KEY (repair_id) REFERENCES repair (id) ON DELETE CASCADE,
    CONSTRAINT day_pin_person FOREIGN KEY (person) REFERENCES account (id),
    CONSTRAINT day_pin_by FOREIGN KEY (changed_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Who is away, and which lamp or oven is out of order: one of its kind.
CREATE TABLE day_away (
    id         BIGINT      NOT NULL AUTO_INCREMENT PRIMARY KEY,
    who        VARCHAR(40) NOT NULL,
    from_at    DATETIME(3) NOT NULL,
    to_at      DATETIME(3) NOT NULL,
    changed_by VARCHAR(40) NOT NULL,
    changed_at DATETIME(3) NOT NULL,
    KEY day_away_to (to_at),
    CONSTRAINT day_away_by FOREIGN KEY (changed_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Whose hours are not the shop's.
CREATE TABLE person_hours (
    person     VARCHAR(40)   NOT NULL PRIMARY KEY,
    hours      VARCHAR(1000) NOT NULL,
    changed_by VARCHAR(40)   NOT NULL,
    changed_at DATETIME(3)   NOT NULL,
    CONSTRAINT person_hours_person FOREIGN KEY (person) REFERENCES account (id),
    CONSTRAINT person_hours_by FOREIGN KEY (changed_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
