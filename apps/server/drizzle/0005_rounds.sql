ALTER TABLE "readings" ALTER COLUMN "say" SET DATA TYPE jsonb USING jsonb_build_object('text', translate("say", '{}', '()'), 'values', '{}'::jsonb);--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "gate_minutes" numeric DEFAULT 120 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "bare_minutes" numeric DEFAULT 480 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "crew" integer DEFAULT 4 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "heater_per_hour" numeric DEFAULT 6 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "shift" jsonb;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "zone_min" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
-- Plans of the first version stay stored whole; a repair that is open under one is planned again.
UPDATE "repairs" SET "plan_id" = NULL, "station" = CASE WHEN "status" = 'open' THEN 'match'::"station" ELSE "station" END
WHERE "plan_id" IN (SELECT "id" FROM "plans" WHERE "body"->>'version' = '1');
