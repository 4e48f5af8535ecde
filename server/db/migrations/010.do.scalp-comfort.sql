-- What the scalp feels is an outcome like the others: rated, promised, wished for.
alter domain outcome_key drop constraint outcome_key_check;
alter domain outcome_key add constraint outcome_key_check
  check (value in ('definition', 'frizz', 'volume', 'shine', 'softness', 'hold', 'scalp'));
alter domain wish_key drop constraint wish_key_check;
alter domain wish_key add constraint wish_key_check
  check (value in ('definition', 'frizz', 'volume', 'shine', 'softness', 'hold', 'scalp', 'length'));
alter table reading drop constraint reading_outcome_check;
alter table reading add constraint reading_outcome_check
  check (outcome in ('definition', 'frizz', 'volume', 'shine', 'softness', 'hold', 'scalp', 'resting-length'));
