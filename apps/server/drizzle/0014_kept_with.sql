ALTER TABLE "commands" ADD COLUMN "kept_with" integer;--> statement-breakpoint
ALTER TABLE "sites" DROP COLUMN "zone_min";