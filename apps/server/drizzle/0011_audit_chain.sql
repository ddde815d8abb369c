ALTER TABLE "audit" ALTER COLUMN "by" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "audit" ALTER COLUMN "repair_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "audit" ALTER COLUMN "command_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "audit" ADD COLUMN "seq" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "audit" ADD COLUMN "address" text;--> statement-breakpoint
ALTER TABLE "audit" ADD COLUMN "hash" text DEFAULT '' NOT NULL;--> statement-breakpoint
-- The hash of a line: over the hash of the line before, and all that the line says.
CREATE FUNCTION audit_hash(said "audit", before text) RETURNS text LANGUAGE sql STABLE AS $$
  SELECT encode(sha256(convert_to(jsonb_build_array(
    before, said."seq", extract(epoch FROM said."at"), said."by", said."address", said."repair_id", said."command_id",
    said."type", said."body")::text, 'UTF8')), 'hex');
$$;--> statement-breakpoint
-- Lines are written one at a time, by the clock of the database: whoever writes gives neither place, moment nor hash.
CREATE FUNCTION chain_audit() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE last record;
BEGIN
  PERFORM pg_advisory_xact_lock(4207312);
  SELECT "seq", "hash" INTO last FROM "audit" ORDER BY "seq" DESC LIMIT 1;
  NEW."at" := clock_timestamp();
  NEW."seq" := coalesce(last."seq", 0) + 1;
  NEW."hash" := audit_hash(NEW, coalesce(last."hash", ''));
  RETURN NEW;
END $$;--> statement-breakpoint
-- The lines of an earlier version get their places in the order in which they were written.
ALTER TABLE "audit" DISABLE TRIGGER audit_append_only;--> statement-breakpoint
DO $$
DECLARE line "audit"; last text := ''; n bigint := 0;
BEGIN
  FOR line IN SELECT * FROM "audit" ORDER BY "id" LOOP
    n := n + 1;
    line."seq" := n;
    last := audit_hash(line, last);
    UPDATE "audit" SET "seq" = n, "hash" = last WHERE "id" = line."id";
  END LOOP;
END $$;--> statement-breakpoint
ALTER TABLE "audit" ENABLE TRIGGER audit_append_only;--> statement-breakpoint
ALTER TABLE "audit" ADD CONSTRAINT "audit_seq_unique" UNIQUE("seq");--> statement-breakpoint
CREATE TRIGGER audit_chain BEFORE INSERT ON "audit" FOR EACH ROW EXECUTE FUNCTION chain_audit();
