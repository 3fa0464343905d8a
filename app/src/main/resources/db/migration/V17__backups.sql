-- When everything was last written out, and how much it was: told by the backup command.
CREATE TABLE backup_made (
    at    DATETIME(3) NOT NULL PRIMARY KEY,
    bytes BIGINT      NOT NULL CHECK (bytes > 0)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
