-- What one server changed, for the others on the same database; kept for minutes.
CREATE TABLE server_change (
    id        BIGINT      NOT NULL AUTO_INCREMENT PRIMARY KEY,
    server    CHAR(36)    NOT NULL,
    what      VARCHAR(8)  NOT NULL,
    repair_id BIGINT      NULL,
    at        DATETIME(3) NOT NULL,
    KEY server_change_at (at)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What one server at a time does in the background: whose turn it is, until when.
CREATE TABLE server_lease (
    name   VARCHAR(20) NOT NULL PRIMARY KEY,
    server CHAR(36)    NOT NULL,
    until  DATETIME(3) NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
