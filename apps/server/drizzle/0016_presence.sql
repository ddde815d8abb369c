CREATE TABLE "presence" (
	"repair_id" uuid NOT NULL,
	"tab" uuid NOT NULL,
	"user_id" text NOT NULL,
	"step_id" text,
	"seen_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "presence_repair_id_tab_pk" PRIMARY KEY("repair_id","tab")
);
--> statement-breakpoint
ALTER TABLE "presence" ADD CONSTRAINT "presence_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "presence" ADD CONSTRAINT "presence_user_id_users_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."users"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "presence_seen" ON "presence" USING btree ("seen_at");