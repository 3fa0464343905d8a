-- What waits under a lamp or in an oven told of this shop's own heat; a lead may say that it counts no more.
CREATE TABLE warm_up (
    repair_id   BIGINT       NOT NULL,
    step        VARCHAR(200) NOT NULL,
    build       VARCHAR(16)  NOT NULL,
    factor      DOUBLE       NOT NULL CHECK (factor > 0),
    measured_at DATETIME(3)  NOT NULL,
    dropped_by  VARCHAR(40)  NULL,
    PRIMARY KEY (repair_id, step),
    KEY warm_up_build (build, measured_at),
    CONSTRAINT warm_up_repair FOREIGN KEY (repair_id) REFERENCES repair (id) ON DELETE CASCADE,
    CONSTRAINT warm_up_dropped_by FOREIGN KEY (dropped_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
