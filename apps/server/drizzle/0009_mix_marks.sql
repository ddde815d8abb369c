CREATE TYPE "public"."mix_end" AS ENUM('placed', 'binned');--> statement-breakpoint
CREATE TABLE "mix_marks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"mix_id" uuid NOT NULL,
	"end" "mix_end" NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "mix_marks_mix_id_unique" UNIQUE("mix_id")
);
--> statement-breakpoint
ALTER TABLE "mix_marks" ADD CONSTRAINT "mix_marks_mix_id_mixes_id_fk" FOREIGN KEY ("mix_id") REFERENCES "public"."mixes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mix_marks" ADD CONSTRAINT "mix_marks_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
INSERT INTO "mix_marks" ("id", "mix_id", "end", "at", "by")
SELECT gen_random_uuid(), "id",
  (CASE WHEN "binned_at" IS NULL THEN 'placed' ELSE 'binned' END)::"public"."mix_end",
  coalesce("binned_at", "placed_at"), "by"
FROM "mixes" WHERE "placed_at" IS NOT NULL OR "binned_at" IS NOT NULL;--> statement-breakpoint
ALTER TABLE "mixes" DROP COLUMN "placed_at";--> statement-breakpoint
ALTER TABLE "mixes" DROP COLUMN "binned_at";