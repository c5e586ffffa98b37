-- most sets tell nothing of where they were felt or of pain; whether any does is asked with every order
create index performed_set_told on performed_set (coach_id, client_id, performed_at)
  where (felt is not null or pain is not null) and not removed;
