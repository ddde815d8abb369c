-- The summary of a plan has the name that the code uses.
ALTER TABLE "plans" RENAME COLUMN "gist" TO "summary";
--> statement-breakpoint
-- Names sort as people read them: P-9 before P-10.
CREATE COLLATION IF NOT EXISTS natural_order (provider = icu, locale = 'en-u-kn-true');
