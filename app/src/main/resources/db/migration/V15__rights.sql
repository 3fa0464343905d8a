-- A shared screen on the wall signs in and changes nothing.
ALTER TABLE account
    MODIFY COLUMN role VARCHAR(12) NOT NULL CHECK (role IN ('TECHNICIAN', 'LEAD', 'APPRENTICE', 'SCREEN'));

-- What is done grows with the product: the program knows what there is.
ALTER TABLE audit MODIFY COLUMN act VARCHAR(16) NOT NULL;

-- A draft of work that has not begun can be thrown away; it keeps its row.
ALTER TABLE repair
    ADD COLUMN away_at DATETIME(3) NULL,
    ADD COLUMN away_by VARCHAR(40) NULL,
    ADD CONSTRAINT repair_away_by FOREIGN KEY (away_by) REFERENCES account (id);

-- Tries at the door, counted by what was tried: a name from an address, an address, a name from anywhere unknown. Only digests are kept,
-- since what is typed as a name is now and then a password.
DROP TABLE sign_in_failure;
CREATE TABLE sign_in_try (
    what     CHAR(64)    NOT NULL PRIMARY KEY,
    name     CHAR(64)    NOT NULL,
    tries    INT         NOT NULL CHECK (tries >= 1),
    first_at DATETIME(3) NOT NULL,
    KEY sign_in_try_name (name)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Where somebody has signed in from before: strangers who try their name elsewhere do not shut them out there.
CREATE TABLE sign_in_known (
    account_id VARCHAR(40) NOT NULL,
    address    CHAR(64)    NOT NULL,
    last_at    DATETIME(3) NOT NULL,
    PRIMARY KEY (account_id, address),
    CONSTRAINT sign_in_known_account FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
