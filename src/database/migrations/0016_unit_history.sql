ALTER TABLE "units" ADD COLUMN "circumstances" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
CREATE INDEX "jobs_by_unit" ON "jobs" USING btree ("organisation_id","unit_id");
--> statement-breakpoint
GRANT UPDATE (circumstances) ON units TO ohmmeter_app;
--> statement-breakpoint
-- One after another: of two that are set up at one moment the second finds the first.
CREATE OR REPLACE FUNCTION serve_first_firm(firm uuid) RETURNS void
  LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = pg_catalog, public
  AS $$
    SELECT pg_catalog.pg_advisory_xact_lock(pg_catalog.hashtext('serve_first_firm'));
    INSERT INTO public.served_firms SELECT firm WHERE NOT EXISTS (SELECT FROM public.served_firms);
  $$;
