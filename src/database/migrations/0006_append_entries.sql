-- Appends to a logbook in one statement, by the rights of whoever calls it and behind the same policies as any other. Gives
-- false, and changes nothing, where the job is not as the caller knows it: other entries, other limits, or one of those who
-- are relied on for live work may not do it. Then the whole of it is read and checked anew.
CREATE FUNCTION append_entries(job uuid, known_count int, known_constraints jsonb, relied uuid[], added jsonb, next_standing jsonb, next_open boolean)
RETURNS boolean LANGUAGE plpgsql VOLATILE SECURITY INVOKER SET search_path = pg_catalog, public AS $$
DECLARE firm uuid := public.installation_organisation();
BEGIN
  PERFORM set_config('ohmmeter.organisation', coalesce(firm::text, ''), true);
  PERFORM FROM public.jobs WHERE organisation_id = firm AND id = job
    AND (standing->>'entryCount')::int = known_count AND constraints = known_constraints FOR UPDATE;
  IF NOT FOUND THEN RETURN false; END IF;
  IF EXISTS (SELECT FROM unnest(relied) AS person(id) WHERE NOT EXISTS (
    SELECT FROM public.technicians AS t WHERE t.organisation_id = firm AND t.id = person.id AND t.live_work)) THEN
    RETURN false;
  END IF;
  INSERT INTO public.entries (organisation_id, id, job_id, sequence, at, kind, body)
    SELECT firm, (each->>'id')::uuid, job, known_count + place, (each->>'at')::timestamptz, each->'body'->>'kind', each->'body'
    FROM jsonb_array_elements(added) WITH ORDINALITY AS list(each, place);
  UPDATE public.jobs SET standing = next_standing, is_open = next_open WHERE organisation_id = firm AND id = job;
  PERFORM pg_notify('ohmmeter_entries', job::text);
  RETURN true;
END $$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION append_entries(uuid, int, jsonb, uuid[], jsonb, jsonb, boolean) FROM PUBLIC;
--> statement-breakpoint
GRANT EXECUTE ON FUNCTION append_entries(uuid, int, jsonb, uuid[], jsonb, jsonb, boolean) TO ohmmeter_app;
