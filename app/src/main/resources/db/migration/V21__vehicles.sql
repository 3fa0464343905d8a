-- What was done on a vehicle is found by its name as typed; the vehicles that were here last stand first.
ALTER TABLE repair
    ADD COLUMN vehicle VARCHAR(80) AS (LEFT(JSON_VALUE(draft, '$.part.vehicle'), 80)) PERSISTENT,
    ADD KEY repair_vehicle (vehicle, id);
