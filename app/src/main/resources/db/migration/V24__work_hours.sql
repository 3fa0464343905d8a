-- When the shop works is one of its settings: seven weekdays of stretches.
ALTER TABLE shop_setting MODIFY value VARCHAR(1000) NOT NULL;
