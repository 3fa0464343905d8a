-- Plans that were made anew while the work went on, each as it was when it was begun. Written once.
CREATE TABLE plan_anew (
    repair_id BIGINT      NOT NULL,
    n         INT         NOT NULL CHECK (n >= 2),
    rule_book VARCHAR(12) NOT NULL,
    frozen_at DATETIME(3) NOT NULL,
    frozen_by VARCHAR(40) NOT NULL,
    plan      LONGTEXT    NOT NULL CHECK (JSON_VALID(plan)),
    format    SMALLINT    NOT NULL CHECK (format >= 1),
    PRIMARY KEY (repair_id, n),
    CONSTRAINT plan_anew_repair FOREIGN KEY (repair_id) REFERENCES repair (id),
    CONSTRAINT plan_anew_by FOREIGN KEY (frozen_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TRIGGER plan_anew_never_changed BEFORE UPDATE ON plan_anew FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a plan that was started is never changed';
CREATE TRIGGER plan_anew_never_deleted BEFORE DELETE ON plan_anew FOR EACH ROW
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a plan that was started is never deleted';

-- Why a repair is being planned anew; nothing while it is not.
ALTER TABLE repair ADD COLUMN anew VARCHAR(2000) NULL;

-- Going against a stop names what raised it.
ALTER TABLE bench_event
    DROP CONSTRAINT bench_event_target,
    ADD CONSTRAINT bench_event_target CHECK ((kind IN ('UNDO', 'AMEND', 'AGAINST')) = (target IS NOT NULL));
