ALTER TABLE "sites" ADD COLUMN "leave_minutes" numeric DEFAULT 240 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "leave_cost" numeric DEFAULT 200 NOT NULL;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "term_minutes" numeric DEFAULT 20 NOT NULL;