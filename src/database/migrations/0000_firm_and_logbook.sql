CREATE TABLE "customers" (
	"organisation_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"phone" text,
	CONSTRAINT "customers_organisation_id_id_pk" PRIMARY KEY("organisation_id","id")
);
--> statement-breakpoint
CREATE TABLE "entries" (
	"organisation_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"sequence" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"kind" text NOT NULL,
	"body" jsonb NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "entries_organisation_id_id_pk" PRIMARY KEY("organisation_id","id")
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"organisation_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"number" integer NOT NULL,
	"unit_id" uuid NOT NULL,
	"technician_id" uuid NOT NULL,
	"opened_at" timestamp with time zone NOT NULL,
	"time_zone" text NOT NULL,
	"complaint" jsonb NOT NULL,
	"constraints" jsonb NOT NULL,
	"standing" jsonb NOT NULL,
	"is_open" boolean DEFAULT true NOT NULL,
	CONSTRAINT "jobs_organisation_id_id_pk" PRIMARY KEY("organisation_id","id")
);
--> statement-breakpoint
CREATE TABLE "organisations" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"unit_system" text NOT NULL,
	"time_zone" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sites" (
	"organisation_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"customer_id" uuid NOT NULL,
	"address" text NOT NULL,
	"supply_system" text NOT NULL,
	"nominal_volt" integer NOT NULL,
	CONSTRAINT "sites_organisation_id_id_pk" PRIMARY KEY("organisation_id","id")
);
--> statement-breakpoint
CREATE TABLE "technicians" (
	"organisation_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"licence" text,
	"live_work" boolean DEFAULT false NOT NULL,
	"instruments" jsonb NOT NULL,
	CONSTRAINT "technicians_organisation_id_id_pk" PRIMARY KEY("organisation_id","id")
);
--> statement-breakpoint
CREATE TABLE "units" (
	"organisation_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"site_id" uuid NOT NULL,
	"family" text NOT NULL,
	"make" text,
	"model" text,
	"serial" text,
	"manufactured" text,
	"installed" text,
	"plate" jsonb NOT NULL,
	CONSTRAINT "units_organisation_id_id_pk" PRIMARY KEY("organisation_id","id")
);
--> statement-breakpoint
ALTER TABLE "customers" ADD CONSTRAINT "customers_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_organisation_id_job_id_jobs_organisation_id_id_fk" FOREIGN KEY ("organisation_id","job_id") REFERENCES "public"."jobs"("organisation_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_organisation_id_unit_id_units_organisation_id_id_fk" FOREIGN KEY ("organisation_id","unit_id") REFERENCES "public"."units"("organisation_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_organisation_id_technician_id_technicians_organisation_id_id_fk" FOREIGN KEY ("organisation_id","technician_id") REFERENCES "public"."technicians"("organisation_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sites" ADD CONSTRAINT "sites_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sites" ADD CONSTRAINT "sites_organisation_id_customer_id_customers_organisation_id_id_fk" FOREIGN KEY ("organisation_id","customer_id") REFERENCES "public"."customers"("organisation_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "technicians" ADD CONSTRAINT "technicians_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "units" ADD CONSTRAINT "units_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "units" ADD CONSTRAINT "units_organisation_id_site_id_sites_organisation_id_id_fk" FOREIGN KEY ("organisation_id","site_id") REFERENCES "public"."sites"("organisation_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "entries_by_sequence" ON "entries" USING btree ("organisation_id","job_id","sequence");--> statement-breakpoint
CREATE UNIQUE INDEX "jobs_by_number" ON "jobs" USING btree ("organisation_id","number");--> statement-breakpoint
CREATE INDEX "jobs_open" ON "jobs" USING btree ("organisation_id","is_open","opened_at");--> statement-breakpoint
CREATE INDEX "sites_by_customer" ON "sites" USING btree ("organisation_id","customer_id");--> statement-breakpoint
CREATE INDEX "units_by_site" ON "units" USING btree ("organisation_id","site_id");