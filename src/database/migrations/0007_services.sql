ALTER TABLE "sites" ADD COLUMN "services" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
UPDATE "sites" SET "services" = jsonb_build_object('supply', jsonb_strip_nulls(jsonb_build_object(
  'system', "supply_system",
  'nominal', jsonb_build_object('volt', "nominal_volt"),
  'residualCurrentDevice', "residual_current_device"
)));--> statement-breakpoint
ALTER TABLE "sites" DROP COLUMN "supply_system";--> statement-breakpoint
ALTER TABLE "sites" DROP COLUMN "nominal_volt";--> statement-breakpoint
ALTER TABLE "sites" DROP COLUMN "residual_current_device";
