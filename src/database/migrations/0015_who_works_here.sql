CREATE TABLE "technician_changes" (
	"organisation_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"technician_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"by_name" text NOT NULL,
	"said" jsonb NOT NULL,
	CONSTRAINT "technician_changes_organisation_id_id_pk" PRIMARY KEY("organisation_id","id")
);
--> statement-breakpoint
ALTER TABLE "technicians" ADD COLUMN "has_left" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "technician_changes" ADD CONSTRAINT "technician_changes_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "technician_changes" ADD CONSTRAINT "technician_changes_organisation_id_technician_id_technicians_organisation_id_id_fk" FOREIGN KEY ("organisation_id","technician_id") REFERENCES "public"."technicians"("organisation_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "technician_changes_newest" ON "technician_changes" USING btree ("organisation_id","at");--> statement-breakpoint
ALTER TABLE technician_changes ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE technician_changes FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_firm ON technician_changes USING (organisation_id = (SELECT current_organisation())) WITH CHECK (organisation_id = (SELECT current_organisation()));
--> statement-breakpoint
GRANT SELECT, INSERT ON technician_changes TO ohmmeter_app;
