-- Who may do what. The role ohmmeter_app is made by scripts/migrate.ts before this runs; it is no superuser and cannot
-- pass by row-level security. The firm is set per transaction as ohmmeter.organisation.
GRANT USAGE ON SCHEMA public TO ohmmeter_app;
--> statement-breakpoint
CREATE FUNCTION current_organisation() RETURNS uuid
  LANGUAGE sql STABLE PARALLEL SAFE
  AS $$ SELECT nullif(current_setting('ohmmeter.organisation', true), '')::uuid $$;
--> statement-breakpoint
ALTER TABLE organisations ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_firm ON organisations USING (id = current_organisation()) WITH CHECK (id = current_organisation());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON organisations TO ohmmeter_app;
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['technicians', 'customers', 'sites', 'units', 'jobs', 'entries'] LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('CREATE POLICY own_firm ON %I USING (organisation_id = current_organisation()) WITH CHECK (organisation_id = current_organisation())', name);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO ohmmeter_app', name);
    IF name <> 'entries' THEN
      EXECUTE format('GRANT UPDATE ON %I TO ohmmeter_app', name);
    END IF;
  END LOOP;
END $$;
--> statement-breakpoint
-- Until sign-in exists, one firm lives in one installation: the first that was set up. Nothing but its id gets out.
CREATE FUNCTION installation_organisation() RETURNS uuid
  LANGUAGE sql STABLE SECURITY DEFINER SET search_path = pg_catalog, public
  AS $$ SELECT id FROM public.organisations ORDER BY created_at, id LIMIT 1 $$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION installation_organisation() FROM PUBLIC;
--> statement-breakpoint
GRANT EXECUTE ON FUNCTION installation_organisation() TO ohmmeter_app;
