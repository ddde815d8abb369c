ALTER TABLE "commands" ADD COLUMN "digest" text;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD COLUMN "digest" text;