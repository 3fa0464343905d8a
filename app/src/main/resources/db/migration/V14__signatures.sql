-- What a lead's signature holds for: a digest of the plans as kept and of every event before it. Written once.
CREATE TABLE signature (
    event_id  CHAR(36) NOT NULL PRIMARY KEY,
    repair_id BIGINT   NOT NULL,
    digest    CHAR(64) NOT NULL,
    CONSTRAINT signature_event FOREIGN KEY (event_id) REFERENCES bench_event (id),
    CONSTRAINT signature_repair FOREIGN KEY (repair_id) REFERENCES repair (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
CREATE TRIGGER signature_never_changed BEFORE UPDATE ON signature FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a signature is never changed';
CREATE TRIGGER signature_never_deleted BEFORE DELETE ON signature FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a signature is never deleted';

-- The key pair this installation seals its records with; made when it is first needed.
CREATE TABLE installation_key (
    id          TINYINT        NOT NULL PRIMARY KEY CHECK (id = 1),
    public_key  VARBINARY(200) NOT NULL,
    private_key VARBINARY(200) NOT NULL,
    made_at     DATETIME(3)    NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Where a record that was read in came from: without a seal, or with whose.
CREATE TABLE record_origin (
    repair_id BIGINT     NOT NULL PRIMARY KEY,
    seal      VARCHAR(8) NOT NULL CHECK (seal IN ('NONE', 'OWN', 'OTHER')),
    sealed_by CHAR(64)   NULL,
    CONSTRAINT record_origin_repair FOREIGN KEY (repair_id) REFERENCES repair (id),
    CONSTRAINT record_origin_by CHECK ((seal = 'NONE') = (sealed_by IS NULL))
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A signature names the newest event that was seen; those from before this do not.
ALTER TABLE bench_event
    DROP CONSTRAINT bench_event_target,
    ADD CONSTRAINT bench_event_target CHECK (kind = 'SIGN' OR (kind IN ('UNDO', 'AMEND', 'AGAINST')) = (target IS NOT NULL));
