ALTER TABLE "assets" RENAME COLUMN "metal" TO "material";
