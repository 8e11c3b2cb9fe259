ALTER TABLE "organisations" ADD COLUMN "intervals" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "organisations" ADD COLUMN "prices" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "units" ADD COLUMN "served" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "units" ADD COLUMN "next_due" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "units_due" ON "units" USING btree ("organisation_id","next_due");--> statement-breakpoint
GRANT UPDATE (intervals, prices) ON organisations TO ohmmeter_app;
--> statement-breakpoint
GRANT UPDATE (served, next_due) ON units TO ohmmeter_app;
