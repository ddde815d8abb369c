-- What is written once is never changed, emptied or deleted, by its owner either; the application's role has no right to try.
CREATE TRIGGER audit_never_emptied BEFORE TRUNCATE ON "audit" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER cards_append_only BEFORE UPDATE OR DELETE ON "cards" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER cards_never_emptied BEFORE TRUNCATE ON "cards" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER checks_append_only BEFORE UPDATE OR DELETE ON "checks" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER checks_never_emptied BEFORE TRUNCATE ON "checks" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER commands_append_only BEFORE UPDATE OR DELETE ON "commands" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER commands_never_emptied BEFORE TRUNCATE ON "commands" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER mix_marks_append_only BEFORE UPDATE OR DELETE ON "mix_marks" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER mix_marks_never_emptied BEFORE TRUNCATE ON "mix_marks" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER mixes_append_only BEFORE UPDATE OR DELETE ON "mixes" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER mixes_never_emptied BEFORE TRUNCATE ON "mixes" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER photos_append_only BEFORE UPDATE OR DELETE ON "photos" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER photos_never_emptied BEFORE TRUNCATE ON "photos" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER plans_never_emptied BEFORE TRUNCATE ON "plans" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER readings_append_only BEFORE UPDATE OR DELETE ON "readings" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER readings_never_emptied BEFORE TRUNCATE ON "readings" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER signoffs_never_emptied BEFORE TRUNCATE ON "signoffs" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER stock_moves_append_only BEFORE UPDATE OR DELETE ON "stock_moves" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER stock_moves_never_emptied BEFORE TRUNCATE ON "stock_moves" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
