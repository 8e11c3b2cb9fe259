ALTER TABLE "sites" ALTER COLUMN "nominal_volt" SET DATA TYPE double precision;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "envelope" jsonb;--> statement-breakpoint
ALTER TABLE "organisations" ADD COLUMN "schools" jsonb DEFAULT '{}'::jsonb NOT NULL;