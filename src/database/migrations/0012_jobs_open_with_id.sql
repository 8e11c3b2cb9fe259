DROP INDEX "jobs_open";--> statement-breakpoint
CREATE INDEX "jobs_open" ON "jobs" USING btree ("organisation_id","is_open","opened_at","id");