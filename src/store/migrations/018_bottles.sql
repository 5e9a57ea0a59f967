-- What is known of the bottle of a liquid: how much a pull gives, how strong it is mixed, how much is left in it.
ALTER TABLE layer ADD COLUMN bottle TEXT NOT NULL DEFAULT '{}';
