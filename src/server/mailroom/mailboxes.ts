/** Whose mailbox it is, and which addresses lead to it. */
import type { DirectoryPerson } from "@/contract";
import { ownAddresses } from "@/core/desks";
import { notFound } from "../http/refusal";
import { findPerson, listPeople } from "../people/people";

export async function mailboxOf(personId: string): Promise<DirectoryPerson> {
  const found = await findPerson(personId);
  if (!found) throw notFound("mailbox");
  return found;
}

/** The mailbox of a person: the person's own address, in small letters. */
export const mailboxName = ({ person }: DirectoryPerson): string => person.mail.toLowerCase();

/** The mailboxes that an address leads to: one, or those of a whole department; none where nobody has it. */
export async function mailboxesAt(address: string): Promise<readonly string[]> {
  const wanted = address.toLowerCase();
  const people = await listPeople();
  const own = people.find((each) => mailboxName(each) === wanted);
  if (own) return [mailboxName(own)];
  return people.filter(({ person }) => ownAddresses(person).includes(wanted)).map(mailboxName);
}
