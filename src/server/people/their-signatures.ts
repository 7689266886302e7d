/** The signatures that are somebody's, written for them. */
import type { Node } from "prosemirror-model";
import type { TheirSignature } from "@/contract";
import { compile } from "@/core/compile";
import { becauseOf, type Person } from "@/core/people";
import { hasShortForm, shortForm } from "@/core/signature";
import { publicBase } from "../addresses/public-address";
import { readDocument } from "../signatures/read-document";
import { findRows } from "../signatures/signatures";
import { withOwnPictures } from "./own-pictures";
import { findPerson } from "./people";
import { givenToPerson } from "./who-gets-what";

const formsOf = (document: Node, person: Person | null, base: string) => ({
  html: compile(document, { destination: "webmail-paste", person, base }),
  plainText: compile(document, { destination: "plain-text", person, base }),
});

/** By name; none of who is not in the directory any more. */
export async function theirSignatures(personId: string): Promise<readonly TheirSignature[]> {
  const [theirs, of, base] = await Promise.all([givenToPerson(personId), findPerson(personId), publicBase()]);
  if (!of) return [];
  const rows = new Map((await findRows(theirs.map(({ id }) => id))).map((row) => [row.id, row]));
  const written = await Promise.all(
    theirs.map(async ({ id, name, purpose, language, audience }) => {
      const row = rows.get(id);
      if (!row) return null;
      const document = readDocument(row.document);
      const person = await withOwnPictures(document, of.person);
      return {
        ...{ id, name, purpose, language, base, revision: row.revision },
        because: becauseOf(audience, of) ?? "everybody",
        full: formsOf(document, person, base),
        short: hasShortForm(document) ? formsOf(shortForm(document), person, base) : null,
      };
    }),
  );
  return written.filter((each) => each !== null);
}
