/** The tables of the directory. Times are milliseconds since 1970. */
import { integer, primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";

export const people = sqliteTable("people", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  pronouns: text("pronouns").notNull().default(""),
  title: text("title").notNull().default(""),
  department: text("department").notNull().default(""),
  phone: text("phone").notNull().default(""),
  mobile: text("mobile").notNull().default(""),
  mail: text("mail").notNull().default(""),
  web: text("web").notNull().default(""),
  address: text("address").notNull().default(""),
  organisation: text("organisation").notNull().default(""),
  portrait: text("portrait").notNull().default(""),
  /** Fields of the user's own, by their ids; JSON. */
  own: text("own").notNull().default("{}"),
  /** Set while they are taken out and can be taken back. */
  takenOutAt: integer("taken_out_at"),
});

/** The fields of the user's own, by their kind and name. */
export const ownFields = sqliteTable("own_fields", {
  id: text("id").primaryKey(),
  createdAt: integer("created_at").notNull(),
});

/** Changes of the directory, so that each can be taken back. */
export const directoryChanges = sqliteTable("directory_changes", {
  id: text("id").primaryKey(),
  createdAt: integer("created_at").notNull(),
});

/** Who changed in one, and how; JSON of a person's change. */
export const changedPeople = sqliteTable(
  "changed_people",
  {
    changeId: text("change_id")
      .notNull()
      .references(() => directoryChanges.id, { onDelete: "cascade" }),
    personId: text("person_id").notNull(),
    change: text("change").notNull(),
  },
  (table) => [primaryKey({ columns: [table.changeId, table.personId] })],
);

/** The pictures that were made of people for places in signatures, by what each is of (`pictureKey`). */
export const peoplesPictures = sqliteTable("peoples_pictures", {
  key: text("key").primaryKey(),
  /** Its hosted path, of a cut. */
  path: text("path").notNull(),
});
