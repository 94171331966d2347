-- Of what is sown in the dark, the place that it is carried to as it comes to light; null where it stays, or nobody said.
alter table sowings
  add column light_place_id uuid,
  add foreign key (household_id, light_place_id) references places;
