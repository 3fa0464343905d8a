-- A plan is about a hundred kilobytes of which most is said again in every other one: packed it takes a fifth.
ALTER TABLE frozen_plan MODIFY COLUMN plan LONGTEXT COMPRESSED NOT NULL CHECK (JSON_VALID(plan));
ALTER TABLE plan_anew MODIFY COLUMN plan LONGTEXT COMPRESSED NOT NULL CHECK (JSON_VALID(plan));
