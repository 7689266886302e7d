/** Whose details do not fit a signature, how much higher it comes out for them, and what would make it fit. */
import {
  choiceSays,
  designSizes,
  findFitMends,
  fitMendsSay,
  fitOf,
  tightSays,
  usualHeight,
  worstFirst,
} from "@/core/fit";
import { fieldLabel } from "@/core/people";
import { onlyFile, read } from "./arguments";
import { readDocument, readPeopleFile } from "./files";
import { WrongUsage } from "./usage";

export async function fitCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = read(args, {
    people: { type: "string" },
    json: { type: "boolean", default: false },
  });
  const file = onlyFile(positionals, "fit");
  if (values.people === undefined) throw new WrongUsage("--people is missing: the list of people");
  const document = await readDocument(file);
  const { people, broken } = await readPeopleFile(values.people);
  const sizeOf = designSizes(document);
  const fits = people
    .map((person) => {
      const fit = fitOf(document, person);
      return { person, fit, size: sizeOf(person, fit) };
    })
    .sort((one, other) => worstFirst(one.fit, other.fit));
  const lines = findFitMends(document, fits);
  const usual = usualHeight(fits.map(({ size }) => size.height));
  if (values.json)
    return JSON.stringify(
      {
        people: fits.map(({ person: { name }, fit, size }) => ({ name, ...fit, size })),
        lines: lines.map(({ people: tight, ...line }) => ({
          ...line,
          people: tight.map(({ person }) => person.name),
        })),
        unread: broken,
      },
      null,
      2,
    );
  const tight = fits.filter(({ fit }) => fit.tight.length > 0);
  return [
    `${people.length - tight.length} of ${people.length} fit`,
    ...(people.length > 0 ? [`Most come out ${Math.round(usual)} px high`] : []),
    ...tight.flatMap(({ person: { name }, fit, size }) => [
      ...fit.tight.map((line) => `${name}: “${line.text}”, ${tightSays(line)}`),
      ...(size.height > usual ? [`${name}: ${Math.round(size.height - usual)} px higher`] : []),
    ]),
    ...lines.flatMap(({ worst, people: { length }, choices }) =>
      choices.map(
        (choice) => `“${worst.text}”: ${fitMendsSay(document, choice.mends)}: ${choiceSays(choice, length)}`,
      ),
    ),
    ...fits.flatMap(({ person: { name }, fit }) =>
      fit.empty.map(({ field }) => `${name}: has no ${fieldLabel(field).toLowerCase()}`),
    ),
    ...fits
      .filter(({ fit }) => fit.missing.length > 0)
      .map(
        ({ person: { name }, fit }) =>
          `${name}: no face that ships has ${fit.missing.slice(0, 12).join(" ")}`,
      ),
    ...broken.map(({ line, reason }) => `${values.people}, line ${line}: ${reason}`),
  ].join("\n");
}
