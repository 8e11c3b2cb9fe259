-- Each time a backup took the place of what was here. Of the installation, not of a firm: it holds nothing of anybody's.
CREATE TABLE restores (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  restored_at timestamp with time zone NOT NULL DEFAULT clock_timestamp()
);
--> statement-breakpoint
GRANT SELECT ON restores TO ohmmeter_app;
