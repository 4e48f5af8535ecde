-- The tester's own rating of build-up, which shifts the ledger.
alter domain measure_kind_key drop constraint measure_kind_key_check;
alter domain measure_kind_key add constraint measure_kind_key_check
  check (value in ('strand', 'ponytail', 'stretch', 'shed', 'curl', 'build-up'));
