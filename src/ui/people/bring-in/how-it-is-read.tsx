"use client";

import {
  encodings,
  wordFieldNames,
  wordFields,
  nameParts,
  targetLabel,
  type ColumnTarget,
  type Delimiter,
  type ListEncoding,
  type ListReading,
  type OwnField,
  type ReadList,
  type ReadTable,
} from "@/core/people";
import { CheckField } from "../../parts/fields/check-field";
import { ChoiceField } from "../../parts/fields/choice-field";

interface Props {
  readonly list: ReadList;
  readonly reading: ListReading;
  readonly ownFields: readonly OwnField[];
  readonly onRead: (changed: Partial<ListReading>) => void;
}

const delimiterNames: Readonly<Record<Delimiter, string>> = {
  ",": "commas",
  ";": "semicolons",
  "\t": "tabs",
  "|": "upright bars",
};

/** The choice of a column that is left out. */
const leftOut = "left out";

/** How a list is read, all of which can be said otherwise. */
export function HowItIsRead({ list, reading, ownFields, onRead }: Props) {
  const { encoding, table, plan } = list;
  return (
    <section aria-labelledby="how-it-is-read" className="text-sm">
      <h2 id="how-it-is-read" className="mb-2 font-serif text-xl">
        How it is read
      </h2>
      <div className="grid grid-cols-2 gap-x-5 gap-y-2">
        {encoding !== null && (
          <ChoiceField<ListEncoding>
            label="Letters"
            value={encoding}
            choices={encodings}
            // Another text has other lines: what was mended is not of it.
            onChange={(next) => onRead({ encoding: next, columns: null, mended: {} })}
          />
        )}
        {table && (
          <ChoiceField<Delimiter>
            label="Cells are parted by"
            value={table.delimiter}
            choices={delimiterNames}
            onChange={(next) => onRead({ delimiter: next, columns: null, mended: {} })}
          />
        )}
      </div>
      {table ? (
        <>
          <CheckField
            label="Its first line names the columns"
            className="mt-3"
            checked={table.named}
            onChange={(named) => onRead({ named, columns: null })}
          />
          <Columns table={table} ownFields={ownFields} onColumns={(columns) => onRead({ columns })} />
        </>
      ) : (
        <p className="text-soft">Contact cards: their fields say what they are.</p>
      )}
      {(plan.emptied > 0 || reading.emptying) && (
        <CheckField
          label={`Take out what is empty in the list (${plan.emptied.toLocaleString("en")} ${plan.emptied === 1 ? "detail" : "details"})`}
          className="mt-3"
          checked={reading.emptying}
          onChange={(emptying) => onRead({ emptying })}
        />
      )}
    </section>
  );
}

interface ColumnsProps {
  readonly table: ReadTable;
  readonly ownFields: readonly OwnField[];
  readonly onColumns: (columns: readonly (ColumnTarget | null)[]) => void;
}

function Columns({ table: { header, samples, columns }, ownFields, onColumns }: ColumnsProps) {
  const targets: readonly ColumnTarget[] = [
    ...wordFieldNames.slice(0, 1),
    ...nameParts,
    ...wordFieldNames.slice(1),
    ...wordFields(ownFields),
  ];
  const choices = Object.fromEntries([
    [leftOut, "left out"],
    ...targets.map((target) => [target, targetLabel(target)]),
  ]) as Record<string, string>;
  const choose = (column: number, chosen: string): void => {
    const target = chosen === leftOut ? null : (chosen as ColumnTarget);
    // A field is filled by one column.
    onColumns(columns.map((each, index) => (index === column ? target : each === target ? null : each)));
  };
  return (
    <table className="mt-3 w-full table-fixed">
      <caption className="sr-only">Columns of the list, and what each is read as</caption>
      <thead>
        <tr className="text-left text-xs text-soft">
          <th scope="col" className="w-1/2 py-1 font-normal">
            Column
          </th>
          <th scope="col" className="py-1 font-normal">
            is
          </th>
        </tr>
      </thead>
      <tbody>
        {header.map((name, column) => (
          <tr key={column} className="border-t border-hairline align-top">
            <td className="py-1 pr-3">
              <div className="truncate font-medium">{name}</div>
              <div className="truncate text-xs text-soft" title={samples[column]?.join("\n")}>
                {samples[column]?.join(" · ") || "empty"}
              </div>
            </td>
            <td className="py-1">
              <ChoiceField<string>
                label={`What the column ${name} is`}
                quiet
                value={columns[column] ?? leftOut}
                choices={choices}
                onChange={(chosen) => choose(column, chosen)}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
