-- Rows of the ledger are by step of the climb: on which side it was, and whether opponents held spots.
-- Null where that is not known, in rows of before.
alter table ledger add column side text, add column opposed boolean;

-- What is planned is played again, and its rows are written anew.
update practice set summary = null where state = 'planned';
