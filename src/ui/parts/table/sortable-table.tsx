"use client";

import {
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
  type ColumnDef,
  type Header,
  type RowData,
} from "@tanstack/react-table";
import { ArrowDown, ArrowUp } from "lucide-react";
import { useMemo, type ReactNode } from "react";
import { walkTable } from "./walk-table";

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
});

export interface Column<Row> {
  readonly title: string;
  readonly cell: (row: Row) => ReactNode;
  /** What rows are put in order by; left out where no order makes sense. Rows without one come last. */
  readonly order?: (row: Row) => string | number | undefined;
  /** Its share of the width, as a class; left out, it takes what remains. */
  readonly width?: string;
  readonly className?: string;
}

interface Props<Row> {
  /** Says what the table lists, for those who do not see it. */
  readonly caption: string;
  readonly rows: readonly Row[];
  readonly keyOf: (row: Row) => string;
  /** The same object each time, unless what the cells show has changed. */
  readonly columns: readonly Column<Row>[];
  readonly className?: string;
  /** Whether its heads are read out and not shown, where they stand over several tables already. */
  readonly headsElsewhere?: boolean;
}

const sortNames = { asc: "ascending", desc: "descending" } as const;

function ColumnHeader<Row extends RowData>({
  header,
  title,
}: {
  header: Header<typeof features, Row>;
  title: string;
}) {
  const { column } = header;
  const sorted = column.getIsSorted();
  const Arrow = sorted === "desc" ? ArrowDown : ArrowUp;
  if (!column.getCanSort()) return <>{title}</>;
  return (
    <button
      type="button"
      onClick={() => column.toggleSorting()}
      title={sorted === "desc" ? "Back to the order they came in" : `Put in order by ${title.toLowerCase()}`}
      className={`group inline-flex items-center gap-1 rounded-sm text-left hover:text-pine ${sorted ? "font-medium text-ink" : ""}`}
    >
      {title}
      <Arrow
        size={12}
        aria-hidden
        className={sorted ? "text-pine" : "opacity-0 group-hover:opacity-60 group-focus-visible:opacity-60"}
      />
    </button>
  );
}

/**
 * A table whose columns can be put in order: once up, once down, and back to the order in which the rows came. The
 * arrow keys lead from a control to those above, below and beside it.
 */
export function SortableTable<Row extends RowData>({
  caption,
  rows,
  keyOf,
  columns,
  className = "",
  headsElsewhere = false,
}: Props<Row>) {
  const definitions = useMemo(
    () =>
      columns.map(({ title, order }): ColumnDef<typeof features, Row, unknown> => ({
        id: title,
        accessorFn: (row) => order?.(row),
        enableSorting: order !== undefined,
        sortFn: "alphanumeric",
        sortDescFirst: false,
        sortUndefined: "last",
      })),
    [columns],
  );
  const table = useTable({ features, columns: definitions, data: rows, getRowId: keyOf });
  return (
    <table className={`w-full table-fixed ${className}`} onKeyDown={walkTable}>
      <caption className="sr-only">{caption}</caption>
      <thead>
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id} className="text-left text-xs text-soft">
            {group.headers.map((header, index) => {
              const sorted = header.column.getIsSorted();
              return (
                <th
                  key={header.id}
                  scope="col"
                  aria-sort={sorted ? sortNames[sorted] : undefined}
                  className={`font-normal ${headsElsewhere ? "" : "py-1.5"} ${columns[index]?.width ?? ""}`}
                >
                  {headsElsewhere ? (
                    <span className="sr-only">{header.column.id}</span>
                  ) : (
                    <ColumnHeader header={header} title={header.column.id} />
                  )}
                </th>
              );
            })}
          </tr>
        ))}
      </thead>
      <tbody>
        {table.getRowModel().rows.map((row) => (
          <tr key={row.id} className="border-t border-hairline align-top">
            {columns.map(({ title, cell, className: own }) => (
              <td key={title} className={own}>
                {cell(row.original)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
