-- Where another program reads somebody's day without signing in: of the secret in the address only its SHA-256 is kept.
CREATE TABLE calendar_address (
    person      VARCHAR(40) NOT NULL PRIMARY KEY,
    secret_hash CHAR(64)    NOT NULL,
    made_at     DATETIME(3) NOT NULL,
    UNIQUE KEY calendar_address_secret (secret_hash),
    CONSTRAINT calendar_address_person FOREIGN KEY (person) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
