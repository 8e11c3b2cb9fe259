-- Which firms this installation works for is settled by the database, not by who connects: a statement may ask for another
-- firm, and sees nothing. The application can neither read nor write this table.
CREATE TABLE served_firms (
  organisation_id uuid PRIMARY KEY
);
--> statement-breakpoint
INSERT INTO served_firms SELECT id FROM organisations ORDER BY created_at, id LIMIT 1;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION current_organisation() RETURNS uuid
  LANGUAGE sql STABLE PARALLEL SAFE SECURITY DEFINER SET search_path = pg_catalog, public
  AS $$ SELECT organisation_id FROM public.served_firms
        WHERE organisation_id = nullif(current_setting('ohmmeter.organisation', true), '')::uuid $$;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION installation_organisation() RETURNS uuid
  LANGUAGE sql STABLE SECURITY DEFINER SET search_path = pg_catalog, public
  AS $$ SELECT organisation_id FROM public.served_firms ORDER BY organisation_id LIMIT 1 $$;
--> statement-breakpoint
-- The first firm that is set up is served; after it nobody is but by the owner's hand.
CREATE FUNCTION serve_first_firm(firm uuid) RETURNS void
  LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = pg_catalog, public
  AS $$ INSERT INTO public.served_firms SELECT firm WHERE NOT EXISTS (SELECT FROM public.served_firms) $$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION serve_first_firm(uuid) FROM PUBLIC;
--> statement-breakpoint
GRANT EXECUTE ON FUNCTION serve_first_firm(uuid) TO ohmmeter_app;
--> statement-breakpoint
ALTER TABLE organisations FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY of_owner ON organisations FOR SELECT TO CURRENT_USER USING (true);
--> statement-breakpoint
-- Asked once for a statement, not once for a row.
ALTER POLICY own_firm ON organisations USING (id = (SELECT current_organisation())) WITH CHECK (id = (SELECT current_organisation()));
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['technicians', 'customers', 'sites', 'units', 'jobs', 'entries', 'search_words'] LOOP
    EXECUTE format('ALTER POLICY own_firm ON %I USING (organisation_id = (SELECT current_organisation())) WITH CHECK (organisation_id = (SELECT current_organisation()))', name);
  END LOOP;
END $$;
