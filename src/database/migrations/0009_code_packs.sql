CREATE TABLE "code_packs" (
	"organisation_id" uuid NOT NULL,
	"pack_id" text NOT NULL,
	"family" text NOT NULL,
	"content" jsonb NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "code_packs_organisation_id_pack_id_pk" PRIMARY KEY("organisation_id","pack_id")
);
--> statement-breakpoint
ALTER TABLE "code_packs" ADD CONSTRAINT "code_packs_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE code_packs ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE code_packs FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_firm ON code_packs USING (organisation_id = (SELECT current_organisation())) WITH CHECK (organisation_id = (SELECT current_organisation()));
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON code_packs TO ohmmeter_app;
