CREATE TYPE "public"."role" AS ENUM('technician', 'planner', 'viewer');--> statement-breakpoint
CREATE TYPE "public"."intent" AS ENUM('lasting', 'stopgap');--> statement-breakpoint
CREATE TYPE "public"."repair_status" AS ENUM('open', 'closed', 'dropped');--> statement-breakpoint
CREATE TYPE "public"."review_kind" AS ENUM('look', 'replace');--> statement-breakpoint
CREATE TYPE "public"."signoff_verdict" AS ENUM('accepted', 'redo');--> statement-breakpoint
CREATE TYPE "public"."station" AS ENUM('survey', 'match', 'prep', 'mix', 'build', 'cure', 'accept');--> statement-breakpoint
CREATE TABLE "accounts" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "rate_limits" (
	"id" text PRIMARY KEY NOT NULL,
	"key" text NOT NULL,
	"count" integer NOT NULL,
	"last_request" bigint NOT NULL,
	CONSTRAINT "rate_limits_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" text PRIMARY KEY NOT NULL,
	"token" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"user_id" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "sessions_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "users" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"username" text NOT NULL,
	"display_username" text,
	"role" "role" DEFAULT 'viewer' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "users_email_unique" UNIQUE("email"),
	CONSTRAINT "users_username_unique" UNIQUE("username")
);
--> statement-breakpoint
CREATE TABLE "verifications" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "assets" (
	"id" uuid PRIMARY KEY NOT NULL,
	"site_id" uuid NOT NULL,
	"tag" text NOT NULL,
	"name" text NOT NULL,
	"position" text NOT NULL,
	"kind" text NOT NULL,
	"metal" text,
	"medium" text,
	"medium_c" numeric,
	"ph" numeric,
	"wear" text,
	"cost_per_hour" numeric NOT NULL,
	CONSTRAINT "assets_tag" UNIQUE("site_id","tag"),
	CONSTRAINT "assets_cost" CHECK ("assets"."cost_per_hour" >= 0)
);
--> statement-breakpoint
CREATE TABLE "cards" (
	"code" text NOT NULL,
	"version" integer NOT NULL,
	"role" text NOT NULL,
	"body" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "cards_code_version_pk" PRIMARY KEY("code","version"),
	CONSTRAINT "cards_version" CHECK ("cards"."version" >= 1)
);
--> statement-breakpoint
CREATE TABLE "sites" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"currency" text NOT NULL,
	"vessel_ml" numeric NOT NULL,
	"vessel_fill" numeric NOT NULL,
	"use_fraction" numeric NOT NULL,
	"overfill_pct" numeric NOT NULL,
	"machining_mm" numeric NOT NULL,
	"extent_mm" numeric NOT NULL,
	"labour_per_hour" numeric NOT NULL,
	CONSTRAINT "sites_name_unique" UNIQUE("name"),
	CONSTRAINT "sites_shares" CHECK ("sites"."vessel_fill" > 0 and "sites"."vessel_fill" <= 1 and "sites"."use_fraction" > 0 and "sites"."use_fraction" <= 1)
);
--> statement-breakpoint
CREATE TABLE "audit" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"by" text NOT NULL,
	"repair_id" uuid NOT NULL,
	"command_id" uuid NOT NULL,
	"type" text NOT NULL,
	"body" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "checks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"repair_id" uuid NOT NULL,
	"plan_id" uuid NOT NULL,
	"step_id" text NOT NULL,
	"done" boolean NOT NULL,
	"note" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "commands" (
	"id" uuid PRIMARY KEY NOT NULL,
	"type" text NOT NULL,
	"repair_id" uuid NOT NULL,
	"by" text NOT NULL,
	"version" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "mixes" (
	"id" uuid PRIMARY KEY NOT NULL,
	"repair_id" uuid NOT NULL,
	"plan_id" uuid NOT NULL,
	"batch_no" integer NOT NULL,
	"a_g" numeric NOT NULL,
	"b_g" numeric NOT NULL,
	"deviation_pct" numeric NOT NULL,
	"in_tolerance" boolean NOT NULL,
	"lot" text NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"placed_at" timestamp with time zone,
	"binned_at" timestamp with time zone,
	"by" text NOT NULL,
	CONSTRAINT "mixes_grams" CHECK ("mixes"."a_g" > 0 and "mixes"."b_g" > 0)
);
--> statement-breakpoint
CREATE TABLE "plans" (
	"id" uuid PRIMARY KEY NOT NULL,
	"repair_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"card_code" text NOT NULL,
	"card_version" integer NOT NULL,
	"core" text NOT NULL,
	"body" jsonb NOT NULL,
	"gist" jsonb NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "plans_number" UNIQUE("repair_id","number")
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"repair_id" uuid NOT NULL,
	"plan_id" uuid NOT NULL,
	"step_id" text NOT NULL,
	"values" jsonb NOT NULL,
	"passed" boolean NOT NULL,
	"say" text NOT NULL,
	"taken_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "repairs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"site_id" uuid NOT NULL,
	"asset_id" uuid,
	"family" text NOT NULL,
	"tag" text NOT NULL,
	"asset_name" text NOT NULL,
	"position" text NOT NULL,
	"title" text NOT NULL,
	"intent" "intent" NOT NULL,
	"station" "station" NOT NULL,
	"status" "repair_status" DEFAULT 'open' NOT NULL,
	"survey" jsonb NOT NULL,
	"plan_id" uuid,
	"back_by" timestamp with time zone NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_by" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	CONSTRAINT "repairs_version" CHECK ("repairs"."version" >= 1)
);
--> statement-breakpoint
CREATE TABLE "reviews" (
	"id" uuid PRIMARY KEY NOT NULL,
	"repair_id" uuid NOT NULL,
	"kind" "review_kind" NOT NULL,
	"due_on" date NOT NULL,
	"done_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "signoffs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"repair_id" uuid NOT NULL,
	"plan_id" uuid NOT NULL,
	"verdict" "signoff_verdict" NOT NULL,
	"statement" text NOT NULL,
	"name" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	"supersedes" uuid
);
--> statement-breakpoint
ALTER TABLE "accounts" ADD CONSTRAINT "accounts_user_id_users_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."users"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_user_id_users_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."users"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assets" ADD CONSTRAINT "assets_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "audit" ADD CONSTRAINT "audit_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_plan_id_plans_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."plans"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "commands" ADD CONSTRAINT "commands_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "commands" ADD CONSTRAINT "commands_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mixes" ADD CONSTRAINT "mixes_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mixes" ADD CONSTRAINT "mixes_plan_id_plans_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."plans"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mixes" ADD CONSTRAINT "mixes_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_card_code_card_version_cards_code_version_fk" FOREIGN KEY ("card_code","card_version") REFERENCES "public"."cards"("code","version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_plan_id_plans_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."plans"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "repairs" ADD CONSTRAINT "repairs_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "repairs" ADD CONSTRAINT "repairs_asset_id_assets_id_fk" FOREIGN KEY ("asset_id") REFERENCES "public"."assets"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "repairs" ADD CONSTRAINT "repairs_created_by_users_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reviews" ADD CONSTRAINT "reviews_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signoffs" ADD CONSTRAINT "signoffs_repair_id_repairs_id_fk" FOREIGN KEY ("repair_id") REFERENCES "public"."repairs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signoffs" ADD CONSTRAINT "signoffs_plan_id_plans_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."plans"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signoffs" ADD CONSTRAINT "signoffs_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signoffs" ADD CONSTRAINT "signoffs_supersedes_signoffs_id_fk" FOREIGN KEY ("supersedes") REFERENCES "public"."signoffs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "accounts_user" ON "accounts" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "sessions_user" ON "sessions" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "cards_role" ON "cards" USING btree ("role");--> statement-breakpoint
CREATE INDEX "audit_repair" ON "audit" USING btree ("repair_id","id");--> statement-breakpoint
CREATE INDEX "checks_repair" ON "checks" USING btree ("repair_id","at");--> statement-breakpoint
CREATE INDEX "commands_repair" ON "commands" USING btree ("repair_id");--> statement-breakpoint
CREATE INDEX "mixes_repair" ON "mixes" USING btree ("repair_id","started_at");--> statement-breakpoint
CREATE INDEX "readings_repair" ON "readings" USING btree ("repair_id","taken_at");--> statement-breakpoint
CREATE INDEX "repairs_list" ON "repairs" USING btree ("site_id","status","updated_at" DESC NULLS LAST,"id" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "repairs_asset" ON "repairs" USING btree ("asset_id");--> statement-breakpoint
CREATE INDEX "reviews_due" ON "reviews" USING btree ("due_on");--> statement-breakpoint
CREATE INDEX "reviews_repair" ON "reviews" USING btree ("repair_id");--> statement-breakpoint
CREATE INDEX "signoffs_repair" ON "signoffs" USING btree ("repair_id","at");