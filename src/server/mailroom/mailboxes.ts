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

/**
 * The mailboxes that each of some addresses leads to: one, or those of a whole department; none where nobody has it. By the
 * addresses as they were given.
 */
export async function mailboxesAt(
  addresses: readonly string[],
): Promise<ReadonlyMap<string, readonly string[]>> {
  const people = await listPeople();
  const own = new Set(people.map(mailboxName));
  const shared = new Map<string, string[]>();
  for (const each of people)
    for (const address of ownAddresses(each.person))
      shared.set(address, [...(shared.get(address) ?? []), mailboxName(each)]);
  return new Map(
    addresses.map((address) => {
      const wanted = address.toLowerCase();
      return [address, own.has(wanted) ? [wanted] : (shared.get(wanted) ?? [])] as const;
    }),
  );
}
