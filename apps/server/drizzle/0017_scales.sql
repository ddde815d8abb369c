ALTER TABLE "sites" ADD COLUMN "scale_g" numeric DEFAULT 0.1 NOT NULL;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "instrument" text;