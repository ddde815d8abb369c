-- What was kept before is of the only site there was, and the server had it when the device says.
CREATE EXTENSION IF NOT EXISTS pg_trgm;
--> statement-breakpoint
ALTER TABLE "plans" DROP CONSTRAINT "plans_card_code_card_version_cards_code_version_fk";
--> statement-breakpoint
DROP INDEX "cards_role";
--> statement-breakpoint
DROP INDEX "repairs_list";
--> statement-breakpoint
DROP INDEX "checks_repair";
--> statement-breakpoint
DROP INDEX "mixes_repair";
--> statement-breakpoint
DROP INDEX "photos_repair";
--> statement-breakpoint
DROP INDEX "readings_repair";
--> statement-breakpoint
DROP INDEX "reviews_repair";
--> statement-breakpoint
DROP INDEX "signoffs_repair";
--> statement-breakpoint
ALTER TABLE "cards" DROP CONSTRAINT "cards_code_version_pk";
--> statement-breakpoint
ALTER TABLE "users" ADD COLUMN "site_id" uuid;
--> statement-breakpoint
UPDATE "users" SET "site_id" = (SELECT "id" FROM "sites" LIMIT 1);
--> statement-breakpoint
ALTER TABLE "users" ALTER COLUMN "site_id" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "users" ADD COLUMN "approves" text[] DEFAULT '{}' NOT NULL;
--> statement-breakpoint
ALTER TABLE "cards" ADD COLUMN "site_id" uuid;
--> statement-breakpoint
ALTER TABLE "cards" DISABLE TRIGGER cards_append_only;
--> statement-breakpoint
UPDATE "cards" SET "site_id" = (SELECT "id" FROM "sites" LIMIT 1);
--> statement-breakpoint
ALTER TABLE "cards" ENABLE TRIGGER cards_append_only;
--> statement-breakpoint
ALTER TABLE "cards" ALTER COLUMN "site_id" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "zone" text DEFAULT 'UTC' NOT NULL;
--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "second_signs" text DEFAULT 'never' NOT NULL;
--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "received_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "checks" DISABLE TRIGGER checks_append_only;
--> statement-breakpoint
UPDATE "checks" SET "received_at" = "at";
--> statement-breakpoint
ALTER TABLE "checks" ENABLE TRIGGER checks_append_only;
--> statement-breakpoint
ALTER TABLE "checks" ALTER COLUMN "received_at" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "mix_marks" ADD COLUMN "received_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "mix_marks" DISABLE TRIGGER mix_marks_append_only;
--> statement-breakpoint
UPDATE "mix_marks" SET "received_at" = "at";
--> statement-breakpoint
ALTER TABLE "mix_marks" ENABLE TRIGGER mix_marks_append_only;
--> statement-breakpoint
ALTER TABLE "mix_marks" ALTER COLUMN "received_at" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "received_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "mixes" DISABLE TRIGGER mixes_append_only;
--> statement-breakpoint
UPDATE "mixes" SET "received_at" = "started_at";
--> statement-breakpoint
ALTER TABLE "mixes" ENABLE TRIGGER mixes_append_only;
--> statement-breakpoint
ALTER TABLE "mixes" ALTER COLUMN "received_at" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "received_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "photos" DISABLE TRIGGER photos_append_only;
--> statement-breakpoint
UPDATE "photos" SET "received_at" = "taken_at";
--> statement-breakpoint
ALTER TABLE "photos" ENABLE TRIGGER photos_append_only;
--> statement-breakpoint
ALTER TABLE "photos" ALTER COLUMN "received_at" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "plans" ADD COLUMN "site_id" uuid;
--> statement-breakpoint
ALTER TABLE "plans" DISABLE TRIGGER plans_append_only;
--> statement-breakpoint
UPDATE "plans" SET "site_id" = (SELECT r."site_id" FROM "repairs" r WHERE r."id" = "plans"."repair_id");
--> statement-breakpoint
ALTER TABLE "plans" ENABLE TRIGGER plans_append_only;
--> statement-breakpoint
ALTER TABLE "plans" ALTER COLUMN "site_id" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "received_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "readings" DISABLE TRIGGER readings_append_only;
--> statement-breakpoint
UPDATE "readings" SET "received_at" = "taken_at";
--> statement-breakpoint
ALTER TABLE "readings" ENABLE TRIGGER readings_append_only;
--> statement-breakpoint
ALTER TABLE "readings" ALTER COLUMN "received_at" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "repairs" ADD COLUMN "search" text GENERATED ALWAYS AS (lower(tag || ' ' || asset_name || ' ' || title || ' ' || position)) STORED;
--> statement-breakpoint
ALTER TABLE "signoffs" ADD COLUMN "override" text;
--> statement-breakpoint
ALTER TABLE "signoffs" ADD COLUMN "received_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "signoffs" DISABLE TRIGGER signoffs_append_only;
--> statement-breakpoint
UPDATE "signoffs" SET "received_at" = "at";
--> statement-breakpoint
ALTER TABLE "signoffs" ENABLE TRIGGER signoffs_append_only;
--> statement-breakpoint
ALTER TABLE "signoffs" ALTER COLUMN "received_at" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "cards" ADD CONSTRAINT "cards_site_id_code_version_pk" PRIMARY KEY("site_id","code","version");
--> statement-breakpoint
ALTER TABLE "users" ADD CONSTRAINT "users_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "cards" ADD CONSTRAINT "cards_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_card" FOREIGN KEY ("site_id","card_code","card_version") REFERENCES "public"."cards"("site_id","code","version") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX "checks_plan" ON "checks" USING btree ("plan_id","received_at","id");
--> statement-breakpoint
CREATE INDEX "mixes_plan" ON "mixes" USING btree ("plan_id","received_at","id");
--> statement-breakpoint
CREATE INDEX "readings_plan" ON "readings" USING btree ("plan_id","received_at","id");
--> statement-breakpoint
CREATE INDEX "repairs_all" ON "repairs" USING btree ("site_id","updated_at","id");
--> statement-breakpoint
CREATE INDEX "repairs_status" ON "repairs" USING btree ("site_id","status","updated_at","id");
--> statement-breakpoint
CREATE INDEX "repairs_search" ON "repairs" USING gin ("search" gin_trgm_ops);
--> statement-breakpoint
CREATE INDEX "checks_repair" ON "checks" USING btree ("repair_id");
--> statement-breakpoint
CREATE INDEX "mixes_repair" ON "mixes" USING btree ("repair_id");
--> statement-breakpoint
CREATE INDEX "photos_repair" ON "photos" USING btree ("repair_id");
--> statement-breakpoint
CREATE INDEX "readings_repair" ON "readings" USING btree ("repair_id");
--> statement-breakpoint
CREATE INDEX "reviews_repair" ON "reviews" USING btree ("repair_id","due_on");
--> statement-breakpoint
CREATE INDEX "signoffs_repair" ON "signoffs" USING btree ("repair_id","received_at");
