-- The options of a blind trial take other ids as its first wash day begins, so that nothing that was said of them while the plan
-- was open can be held beside the codes. What refers to an option then goes with it.
alter table arm_step drop constraint arm_step_arm_id_fkey,
  add constraint arm_step_arm_id_fkey foreign key (arm_id) references arm on delete cascade on update cascade;
alter table allocation drop constraint allocation_arm_id_fkey,
  add constraint allocation_arm_id_fkey foreign key (arm_id) references arm on update cascade;
