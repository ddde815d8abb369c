ALTER TABLE "sites" ADD COLUMN "mortar_vessel_ml" numeric DEFAULT 40000 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "working_depth_mm" numeric DEFAULT 40 NOT NULL;