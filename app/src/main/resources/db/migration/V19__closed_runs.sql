-- When the work on a repair was finished or ended; nothing while it waits or runs. What lists tell of it then stands ready, and what it is
-- found by is a row a word: ten years of work are looked through as quickly as a day. A turn is taken by whoever adds to what happened.
ALTER TABLE repair
    ADD COLUMN closed_at DATETIME(3) NULL,
    ADD COLUMN turn BIGINT NOT NULL DEFAULT 0,
    ADD KEY repair_closed (closed_at),
    ADD KEY repair_open (closed_at, away_at);

CREATE TABLE closed_run (
    repair_id BIGINT   NOT NULL PRIMARY KEY,
    format    SMALLINT NOT NULL CHECK (format >= 1),
    line      LONGTEXT NOT NULL CHECK (JSON_VALID(line)),
    KEY closed_run_format (format),
    CONSTRAINT closed_run_repair FOREIGN KEY (repair_id) REFERENCES repair (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE closed_run_key (
    word      VARCHAR(40) COLLATE utf8mb4_bin NOT NULL,
    closed_at DATETIME(3) NOT NULL,
    repair_id BIGINT      NOT NULL,
    PRIMARY KEY (word, closed_at, repair_id),
    KEY closed_run_key_repair (repair_id, word),
    CONSTRAINT closed_run_key_run FOREIGN KEY (repair_id) REFERENCES closed_run (repair_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- When finished work is to be looked at again.
CREATE TABLE closed_run_look (
    due       DATETIME(3) NOT NULL,
    repair_id BIGINT      NOT NULL,
    PRIMARY KEY (due, repair_id),
    KEY closed_run_look_repair (repair_id),
    CONSTRAINT closed_run_look_run FOREIGN KEY (repair_id) REFERENCES closed_run (repair_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
