-- What a lead changed of a method's page for every repair from then on: one rule a row, as its published file has it. A rule is never
-- changed; it ends when it is taken back, and stays for the history.
CREATE TABLE page_rule (
    id        BIGINT      NOT NULL AUTO_INCREMENT PRIMARY KEY,
    page      TEXT        NOT NULL,
    signed_by VARCHAR(40) NOT NULL,
    signed_at DATETIME(3) NOT NULL,
    ended_by  VARCHAR(40) NULL,
    ended_at  DATETIME(3) NULL,
    CONSTRAINT page_rule_by FOREIGN KEY (signed_by) REFERENCES account (id),
    CONSTRAINT page_rule_ended_by FOREIGN KEY (ended_by) REFERENCES account (id),
    CONSTRAINT page_rule_ended CHECK ((ended_by IS NULL) = (ended_at IS NULL))
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What can happen at the bench is the core's to know: that list grows with the product.
ALTER TABLE bench_event MODIFY COLUMN kind VARCHAR(16) NOT NULL;
