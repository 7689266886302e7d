/** The tables of people's own pages. Times are milliseconds since 1970. */
import { index, integer, primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { letterWays } from "@/contract";
import { people } from "./people-tables";

/** A page of somebody's own, at an address that cannot be guessed. */
export const personPages = sqliteTable("person_pages", {
  personId: text("person_id")
    .primaryKey()
    .references(() => people.id, { onDelete: "cascade" }),
  /** What its address ends with. */
  secret: text("secret").notNull().unique(),
  createdAt: integer("created_at").notNull(),
  /** Set while nothing is shown at it. */
  withdrawnAt: integer("withdrawn_at"),
  /** When it was last opened, and when something was last copied or downloaded there. */
  openedAt: integer("opened_at"),
  copiedAt: integer("copied_at"),
});

/** Letters that carry the addresses of pages, one for each page and way. */
export const pageLetters = sqliteTable(
  "page_letters",
  {
    secret: text("secret")
      .notNull()
      .references(() => personPages.secret, { onDelete: "cascade", onUpdate: "cascade" }),
    way: text("way", { enum: letterWays }).notNull(),
    /** `going` from before it is handed over until what came of it is known. */
    state: text("state", { enum: ["going", "gone", "failed"] }).notNull(),
    /** Why it failed; empty where it did not. */
    trouble: text("trouble").notNull().default(""),
    at: integer("at").notNull(),
  },
  (table) => [primaryKey({ columns: [table.secret, table.way] })],
);

/** Details that people say are otherwise, one row for each. */
export const corrections = sqliteTable(
  "corrections",
  {
    id: text("id").primaryKey(),
    personId: text("person_id")
      .notNull()
      .references(() => people.id, { onDelete: "cascade" }),
    field: text("field").notNull(),
    before: text("before").notNull(),
    after: text("after").notNull(),
    askedAt: integer("asked_at").notNull(),
    /** Null until it is accepted or declined. */
    settledAt: integer("settled_at"),
    accepted: integer("accepted", { mode: "boolean" }),
  },
  (table) => [index("corrections_by_person").on(table.personId, table.settledAt)],
);
