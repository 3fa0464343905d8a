-- Where the shop lies, for the sun; no row until a lead says so: then the installation's own setting holds.
CREATE TABLE shop_place (
    id            TINYINT       NOT NULL PRIMARY KEY CHECK (id = 1),
    latitude_deg  DECIMAL(7, 4) NOT NULL CHECK (latitude_deg BETWEEN -90 AND 90),
    longitude_deg DECIMAL(7, 4) NOT NULL CHECK (longitude_deg BETWEEN -180 AND 180),
    changed_by    VARCHAR(40)   NOT NULL,
    changed_at    DATETIME(3)   NOT NULL,
    CONSTRAINT shop_place_by FOREIGN KEY (changed_by) REFERENCES account (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
