CREATE TYPE "public"."stock_reason" AS ENUM('received', 'drawn', 'counted', 'binned');--> statement-breakpoint
CREATE TABLE "photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"repair_id" uuid NOT NULL,
	"plan_id" uuid NOT NULL,
	"step_id" text NOT NULL,
	"mime" text NOT NULL,
	"data" "bytea" NOT NULL,
	"taken_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "photos_size" CHECK (octet_length("photos"."data") between 12 and 1048576)
);
--> statement-breakpoint
CREATE TABLE "lots" (
	"id" uuid PRIMARY KEY NOT NULL,
	"site_id" uuid NOT NULL,
	"card_code" text NOT NULL,
	"pack_id" text NOT NULL,
	"lot" text NOT NULL,
	"expires_on" date NOT NULL,
	CONSTRAINT "lots_lot" UNIQUE("site_id","pack_id","lot")
);
--> statement-breakpoint
CREATE TABLE "stock_moves" (
	"id" uuid PRIMARY KEY NOT NULL,
	"lot_id" uuid NOT NULL,
	"delta" integer NOT NULL,
	"reason" "stock_reason" NOT NULL,
	"repair_id" uuid,
	"at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "stock_moves_delta" CHECK ("stock_moves"."delta" <> 0)
);
--> statement-breakpoint
ALTER TABLE "mixes" ALTER COLUMN "a_g" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "mixes" ALTER COLUMN "b_g" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "mixes" ALTER COLUMN "deviation_pct" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "clearance_margin_mm" numeric DEFAULT 1.5 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "temp_sd_c" numeric DEFAULT 1.5 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "swing_indoors_c" numeric DEFAULT 2 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "swing_outdoors_c" numeric DEFAULT 8 NOT NULL;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_plan_id_plans_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."plans"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "photos_repair" ON "photos" USING btree ("repair_id","taken_at");--> statement-breakpoint
CREATE INDEX "lots_card" ON "lots" USING btree ("card_code");--> statement-breakpoint
CREATE INDEX "stock_moves_lot" ON "stock_moves" USING btree ("lot_id");