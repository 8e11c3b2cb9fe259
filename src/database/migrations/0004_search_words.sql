CREATE TABLE "search_words" (
	"organisation_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"word" text COLLATE "C" NOT NULL,
	"subject_id" uuid NOT NULL,
	CONSTRAINT "search_words_organisation_id_kind_word_subject_id_pk" PRIMARY KEY("organisation_id","kind","word","subject_id")
);
--> statement-breakpoint
ALTER TABLE "search_words" ADD CONSTRAINT "search_words_organisation_id_organisations_id_fk" FOREIGN KEY ("organisation_id") REFERENCES "public"."organisations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "search_words_of" ON "search_words" USING btree ("organisation_id","kind","subject_id","word");
--> statement-breakpoint
-- What was stored before: as core/search makes words, but for the run-together form of a serial number.
INSERT INTO search_words (organisation_id, kind, word, subject_id)
SELECT DISTINCT text.organisation_id, 'unit', left(word, 40), text.id
FROM (
  SELECT units.organisation_id, units.id, concat_ws(' ', customers.name, sites.address, units.make, units.model, units.serial) AS said
  FROM units
  JOIN sites ON sites.organisation_id = units.organisation_id AND sites.id = units.site_id
  JOIN customers ON customers.organisation_id = sites.organisation_id AND customers.id = sites.customer_id
) AS text,
regexp_split_to_table(regexp_replace(normalize(lower(text.said), NFKD), '[\u0300-\u036f]', '', 'g'), '[^[:alnum:]]+') AS word
WHERE word <> '';
--> statement-breakpoint
INSERT INTO search_words (organisation_id, kind, word, subject_id)
SELECT DISTINCT text.organisation_id, 'job', left(word, 40), text.id
FROM (
  SELECT jobs.organisation_id, jobs.id, concat_ws(' ', jobs.number, customers.name, sites.address, units.make, units.model, units.serial, left(jobs.complaint->>'words', 400)) AS said
  FROM jobs
  JOIN units ON units.organisation_id = jobs.organisation_id AND units.id = jobs.unit_id
  JOIN sites ON sites.organisation_id = units.organisation_id AND sites.id = units.site_id
  JOIN customers ON customers.organisation_id = sites.organisation_id AND customers.id = sites.customer_id
) AS text,
regexp_split_to_table(regexp_replace(normalize(lower(text.said), NFKD), '[\u0300-\u036f]', '', 'g'), '[^[:alnum:]]+') AS word
WHERE word <> '';
--> statement-breakpoint
ALTER TABLE search_words ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE search_words FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_firm ON search_words USING (organisation_id = current_organisation()) WITH CHECK (organisation_id = current_organisation());
--> statement-breakpoint
GRANT SELECT, INSERT ON search_words TO ohmmeter_app;
--> statement-breakpoint
CREATE INDEX jobs_opened ON jobs USING btree (organisation_id, opened_at DESC, id DESC);
--> statement-breakpoint
CREATE INDEX customers_by_name ON customers USING btree (organisation_id, name);
--> statement-breakpoint
CREATE INDEX sites_of_customer ON sites USING btree (organisation_id, customer_id);
--> statement-breakpoint
CREATE INDEX units_of_site ON units USING btree (organisation_id, site_id);
--> statement-breakpoint
-- Of a firm and of a job only what changes may be changed.
REVOKE UPDATE ON organisations, jobs FROM ohmmeter_app;
--> statement-breakpoint
GRANT UPDATE (schools) ON organisations TO ohmmeter_app;
--> statement-breakpoint
GRANT UPDATE (constraints, standing, is_open) ON jobs TO ohmmeter_app;
