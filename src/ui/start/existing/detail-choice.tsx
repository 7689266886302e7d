import type { DirectoryPerson } from "@/contract";
import { fieldLabel } from "@/core/people";
import { CheckField } from "../../parts/fields/check-field";
import { PersonPicker } from "../../parts/people/person-picker";
import type { ReadSignature } from "./use-existing";

interface Props {
  readonly signature: ReadSignature;
  readonly people: readonly DirectoryPerson[];
}

/** Whose details stand in it, and which of them become fields. */
export function DetailChoice({ signature, people }: Props) {
  const { person, offers, taken, setTaken, setAllTaken, choosePerson } = signature;
  if (people.length === 0) return null;
  return (
    <section aria-labelledby="details">
      <h2 id="details" className="pb-1 font-serif text-xl">
        Details
      </h2>
      <p className="pb-2 text-sm text-soft">
        {person
          ? "What is checked is drawn from the directory, for whoever uses the signature."
          : "Nobody’s name or mail address was found in it. Choose whose it is, and their details can be fields."}
      </p>
      <PersonPicker
        label="Whose signature it is"
        value={person?.id ?? null}
        name={person?.person.name ?? null}
        none="nobody in the directory"
        onChange={(id) => id !== null && choosePerson(id)}
      />
      {person && offers.length === 0 && (
        <p className="pt-2 text-sm text-soft">None of {person.person.name}’s details stand in it.</p>
      )}
      {offers.length > 0 && (
        <>
          <CheckField
            label={`All ${offers.length} as fields`}
            checked={taken.size === offers.length}
            onChange={setAllTaken}
            className="pt-2 text-sm font-medium"
          />
          <ul className="mt-1 border-t border-hairline">
            {offers.map(({ field, from, text }, index) => (
              <li key={from} className="border-b border-hairline py-1">
                <CheckField
                  label={`${fieldLabel(field)}: ${text}`}
                  checked={taken.has(index)}
                  onChange={(wanted) => setTaken(index, wanted)}
                  className="text-sm"
                />
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
