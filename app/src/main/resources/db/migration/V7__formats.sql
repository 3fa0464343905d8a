-- What is kept for good says in which format; rows from before are of the first. Which quantities there are is the core's to know.
ALTER TABLE frozen_plan ADD COLUMN format SMALLINT NOT NULL DEFAULT 1 CHECK (format >= 1);
ALTER TABLE bench_event
    MODIFY COLUMN quantity VARCHAR(40) NULL,
    ADD COLUMN format SMALLINT NOT NULL DEFAULT 1 CHECK (format >= 1),
    ADD COLUMN logged BOOLEAN NOT NULL DEFAULT FALSE;
