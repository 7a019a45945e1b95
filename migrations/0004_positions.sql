-- Positions that a player may take in a game, the best first.
alter table person add column positions jsonb;
