-- A second factor of whoever wants one: what a phone reckons its codes from, and the step of the last one that was used.
CREATE TABLE second_factor (
    account_id VARCHAR(40)   NOT NULL PRIMARY KEY,
    secret     VARBINARY(40) NOT NULL,
    last_step  BIGINT        NOT NULL,
    CONSTRAINT second_factor_account FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Codes for when the phone is gone; each opens once. Only digests are kept.
CREATE TABLE recovery_code (
    account_id VARCHAR(40) NOT NULL,
    digest     CHAR(64)    NOT NULL,
    PRIMARY KEY (account_id, digest),
    CONSTRAINT recovery_code_account FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
