-- To the millisecond, as an entry says its time.
ALTER TABLE restores ALTER COLUMN restored_at SET DEFAULT date_trunc('milliseconds', clock_timestamp());
--> statement-breakpoint
UPDATE restores SET restored_at = date_trunc('milliseconds', restored_at);
--> statement-breakpoint
-- A backup that took the place of what was here ends what was proved before it. A unit that was proved dead by then may have been
-- switched on since, and that is not known here until a device has sent it. A proof holds for hours: a job that nobody wrote in
-- for a day has none, and gets no entry.
CREATE FUNCTION end_proofs_at_restore() RETURNS trigger
  LANGUAGE plpgsql SECURITY INVOKER SET search_path = pg_catalog, public AS $$
DECLARE
  firm uuid := public.installation_organisation();
  changed uuid;
BEGIN
  PERFORM set_config('ohmmeter.organisation', coalesce(firm::text, ''), true);
  FOR changed IN WITH added AS (
    INSERT INTO public.entries (organisation_id, id, job_id, sequence, at, kind, body)
      SELECT firm, fresh.id, job.id, last.sequence + 1, NEW.restored_at, 'action', jsonb_build_object(
        'id', fresh.id, 'kind', 'action', 'action', 'restored',
        'at', to_char(NEW.restored_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'))
      FROM public.jobs AS job
      CROSS JOIN LATERAL (
        SELECT max(sequence) AS sequence, max(greatest(at, received_at)) AS at FROM public.entries
        WHERE organisation_id = firm AND job_id = job.id) AS last
      -- Of each row its own: what does not depend on it is worked out once.
      CROSS JOIN LATERAL (SELECT gen_random_uuid() AS id WHERE job.id IS NOT NULL) AS fresh
      WHERE job.organisation_id = firm AND job.is_open AND last.at > NEW.restored_at - interval '1 day'
      RETURNING job_id, sequence)
  UPDATE public.jobs SET standing = standing || jsonb_build_object('entryCount', added.sequence, 'isSettled', false)
    FROM added WHERE organisation_id = firm AND jobs.id = added.job_id
    RETURNING jobs.id
  LOOP
    -- A server that runs has devices that listen.
    PERFORM pg_notify('ohmmeter_entries', changed::text);
  END LOOP;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER end_proofs_at_restore AFTER INSERT ON restores FOR EACH ROW EXECUTE FUNCTION end_proofs_at_restore();
--> statement-breakpoint
-- As before; besides, what was written before the last restore and comes after it is left to the long way, which says in the
-- logbook that the backup was put back.
CREATE OR REPLACE FUNCTION append_entries(job uuid, known_count int, known_constraints jsonb, relied uuid[], added jsonb, next_standing jsonb, next_open boolean)
RETURNS boolean LANGUAGE plpgsql VOLATILE SECURITY INVOKER SET search_path = pg_catalog, public AS $$
DECLARE
  firm uuid := public.installation_organisation();
  restored timestamptz := (SELECT max(restored_at) FROM public.restores);
BEGIN
  PERFORM set_config('ohmmeter.organisation', coalesce(firm::text, ''), true);
  PERFORM FROM public.jobs WHERE organisation_id = firm AND id = job
    AND (standing->>'entryCount')::int = known_count AND constraints = known_constraints FOR UPDATE;
  IF NOT FOUND THEN RETURN false; END IF;
  IF EXISTS (SELECT FROM unnest(relied) AS person(id) WHERE NOT EXISTS (
    SELECT FROM public.technicians AS t WHERE t.organisation_id = firm AND t.id = person.id AND t.live_work)) THEN
    RETURN false;
  END IF;
  IF restored IS NOT NULL
    AND EXISTS (SELECT FROM jsonb_array_elements(added) AS each WHERE (each->>'at')::timestamptz <= restored)
    AND NOT EXISTS (SELECT FROM public.entries AS e WHERE e.organisation_id = firm AND e.job_id = job
      AND e.at = restored AND e.kind = 'action' AND e.body->>'action' = 'restored') THEN
    RETURN false;
  END IF;
  INSERT INTO public.entries (organisation_id, id, job_id, sequence, at, kind, body)
    SELECT firm, (each->>'id')::uuid, job, known_count + place, (each->>'at')::timestamptz, each->'body'->>'kind', each->'body'
    FROM jsonb_array_elements(added) WITH ORDINALITY AS list(each, place);
  UPDATE public.jobs SET standing = next_standing, is_open = next_open WHERE organisation_id = firm AND id = job;
  RETURN true;
END $$;
