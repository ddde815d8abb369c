CREATE TABLE "device_codes" (
	"device" text NOT NULL,
	"user_id" text NOT NULL,
	"code" text NOT NULL,
	"tries" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "device_codes_device_user_id_pk" PRIMARY KEY("device","user_id")
);
--> statement-breakpoint
ALTER TABLE "device_codes" ADD CONSTRAINT "device_codes_user_id_users_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."users"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "device_codes_user" ON "device_codes" USING btree ("user_id");