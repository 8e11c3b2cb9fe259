-- Appends as before, and tells nobody by itself: PostgreSQL lets one transaction that notifies commit at a time, so that each waited for
-- the disk of all before it. The server tells of the entries once they are stored.
CREATE OR REPLACE FUNCTION append_entries(job uuid, known_count int, known_constraints jsonb, relied uuid[], added jsonb, next_standing jsonb, next_open boolean)
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
  RETURN true;
END $$;
