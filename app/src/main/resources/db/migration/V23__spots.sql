-- Where on the part a spot was drawn; nothing for everything else that happens.
ALTER TABLE bench_event
    ADD COLUMN place VARCHAR(400) NULL CHECK (place IS NULL OR JSON_VALID(place)),
    ADD CONSTRAINT bench_event_place CHECK ((kind = 'SPOT') = (place IS NOT NULL));
