"use client";

/** The directory as a table that is edited where it stands; of thousands of people only those in view are in the page. Sizes in px. */
import {
  columnVisibilityFeature,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
} from "@tanstack/react-table";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ArrowDown, ArrowUp } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import type { DirectoryPerson } from "@/contract";
import { fieldLabel, typedValue, type FieldId } from "@/core/people";
import { GridCell, type Leaving } from "./grid-cell";
import { RowActions, type PersonActions } from "./row-actions";
import { useGridWalk, type Place } from "./use-grid-walk";

const features = tableFeatures({ columnVisibilityFeature, rowSortingFeature });

interface Row {
  readonly id: string;
}

interface Props extends PersonActions {
  /** Of all who were found, in order. */
  readonly ids: readonly string[];
  /** Null while they are on their way. */
  readonly find: (id: string) => DirectoryPerson | null;
  readonly onShown: (ids: readonly string[]) => void;
  readonly fields: readonly FieldId[];
  readonly shown: readonly FieldId[];
  /** A field, after a minus sign where its order is turned around. */
  readonly order: string;
  readonly onOrder: (order: string) => void;
  readonly onEdit: (of: DirectoryPerson, field: FieldId, value: string) => void;
  /** The id of the list of departments. */
  readonly departments: string;
}

const rowHeight = 36;
/** Rows that a server draws, which knows no window. */
const usualHeight = 560;

/** How wide a column wants to be beside others. */
const widths: Readonly<Partial<Record<FieldId, number>>> = { name: 200, title: 220, mail: 210, address: 260 };
const usualWidth = 150;
const actionsWidth = 92;

const sortNames = { asc: "ascending", desc: "descending" } as const;

export function PeopleGrid(props: Props) {
  const { ids, find, onShown, fields, shown, order, onOrder, onEdit, departments, ...actions } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const [editing, setEditing] = useState<{ id: string; field: FieldId; begins: string } | null>(null);
  const typed = useRef("");

  const columns = useMemo(
    () =>
      fields.map((field): ColumnDef<typeof features, Row, unknown> => ({
        id: field,
        accessorFn: ({ id }) => id,
        sortDescFirst: false,
      })),
    [fields],
  );
  const data = useMemo(() => ids.map((id): Row => ({ id })), [ids]);
  const down = order.startsWith("-");
  const sorted = down ? order.slice(1) : order;
  const table = useTable({
    ...{ features, columns, data, getRowId: ({ id }: Row) => id, manualSorting: true },
    state: {
      columnVisibility: Object.fromEntries(fields.map((field) => [field, shown.includes(field)])),
      sorting: [{ id: sorted, desc: down }],
    },
  });
  const visible = table.getVisibleLeafColumns().map(({ id }) => id as FieldId);
  const rows = table.getRowModel().rows;

  // eslint-disable-next-line react-hooks/incompatible-library -- it is called anew each time and handed on to nothing that is memoized.
  const virtualizer = useVirtualizer({
    ...{ count: rows.length, overscan: 6, initialRect: { width: 1200, height: usualHeight } },
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    // The heads stay above what is scrolled to.
    scrollPaddingStart: rowHeight,
  });
  const drawn = virtualizer.getVirtualItems();
  const named = drawn.map(({ index }) => ids[index]).join(" ");
  useEffect(() => {
    if (named) onShown(named.split(" "));
  }, [named, onShown]);

  const begin = ({ row, column }: Place, begins?: string): boolean => {
    const id = ids[row];
    const field = visible[column];
    const of = id === undefined ? null : find(id);
    if (!of || field === undefined) return false;
    const first = begins ?? typedValue(of.person, field);
    typed.current = first;
    setEditing({ id: of.id, field, begins: first });
    return true;
  };
  const walk = useGridWalk({
    ...{ rows: ids.length, columns: visible.length + 1 },
    page: () => Math.max(1, Math.floor((scroller.current?.clientHeight ?? usualHeight) / rowHeight) - 2),
    show: (row) => virtualizer.scrollToIndex(row),
    onKey: (event, place) => {
      if (event.ctrlKey || event.metaKey || event.altKey || place.column >= visible.length) return false;
      if (event.key === "Enter" || event.key === "F2") return begin(place);
      if (event.key === "Delete" || event.key === "Backspace") {
        const of = find(ids[place.row] ?? "");
        const field = visible[place.column];
        if (of && field && field !== "name") onEdit(of, field, "");
        return true;
      }
      return event.key.length === 1 && event.key !== " " ? begin(place, event.key) : false;
    },
  });

  const done = (of: DirectoryPerson, field: FieldId, at: Place, value: string | null, leaving: Leaving) => {
    setEditing(null);
    if (value !== null && value.trim() !== typedValue(of.person, field)) onEdit(of, field, value.trim());
    const { row, column } = at;
    if (leaving === "down") walk.go({ row: row + 1, column });
    else if (leaving === "right") walk.go({ row, column: column + 1 });
    else if (leaving === "left") walk.go({ row, column: column - 1 });
    // A click elsewhere has taken the focus already.
    else if (value === null) walk.go(at);
  };

  // A field that is scrolled out of the page goes without being left: what was typed there is taken all the same.
  useEffect(() => {
    if (!editing || drawn.some(({ index }) => ids[index] === editing.id)) return;
    const of = find(editing.id);
    setEditing(null);
    if (of && typed.current.trim() !== typedValue(of.person, editing.field))
      onEdit(of, editing.field, typed.current.trim());
  }, [editing, drawn, find, onEdit, ids]);

  const above = drawn[0]?.start ?? 0;
  const below = virtualizer.getTotalSize() - (drawn.at(-1)?.end ?? 0);
  const width = visible.reduce((sum, field) => sum + (widths[field] ?? usualWidth), actionsWidth);
  return (
    <div
      ref={scroller}
      className="min-h-0 flex-1 overflow-auto border-y border-pine [scrollbar-gutter:stable]"
    >
      <table
        ref={walk.holder}
        role="grid"
        aria-label="People"
        aria-rowcount={ids.length + 1}
        aria-colcount={visible.length + 1}
        onKeyDown={walk.onKeyDown}
        onFocus={walk.onFocus}
        className="w-full table-fixed border-separate border-spacing-0"
        style={{ minWidth: width }}
      >
        <colgroup>
          {visible.map((field) => (
            <col key={field} style={{ width: widths[field] ?? usualWidth }} />
          ))}
          <col style={{ width: actionsWidth }} />
        </colgroup>
        <thead>
          <tr aria-rowindex={1}>
            {visible.map((field) => {
              const own = table.getColumn(field)?.getIsSorted() || null;
              const Arrow = own === "desc" ? ArrowDown : ArrowUp;
              return (
                <th
                  key={field}
                  scope="col"
                  aria-sort={own ? sortNames[own] : undefined}
                  className="sticky top-0 z-10 h-9 border-b border-hairline bg-paper px-2 text-left text-xs font-normal text-soft"
                >
                  <button
                    type="button"
                    onClick={() => onOrder(own === "asc" ? `-${field}` : field)}
                    className={`group inline-flex max-w-full items-center gap-1 rounded-sm hover:text-pine ${own ? "font-medium text-ink" : ""}`}
                  >
                    <span className="truncate">{fieldLabel(field)}</span>
                    <Arrow
                      size={12}
                      aria-hidden
                      className={`shrink-0 ${own ? "text-pine" : "opacity-0 group-hover:opacity-60 group-focus-visible:opacity-60"}`}
                    />
                  </button>
                </th>
              );
            })}
            <th scope="col" className="sticky top-0 z-10 h-9 border-b border-hairline bg-paper">
              <span className="sr-only">What can be done</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {above > 0 && (
            <tr aria-hidden>
              <td colSpan={visible.length + 1} className="p-0" style={{ height: above }} />
            </tr>
          )}
          {drawn.map(({ index }) => {
            const id = rows[index]?.id ?? "";
            const of = find(id);
            return (
              <tr key={id} aria-rowindex={index + 2} className="group/row hover:bg-kelp/40">
                {visible.map((field, column) => {
                  const place = { row: index, column };
                  return (
                    <td
                      key={field}
                      data-row={index}
                      data-column={column}
                      className="h-9 max-w-0 border-b border-hairline p-0 text-sm"
                      onClick={() => (editing?.id === id && editing.field === field) || begin(place)}
                    >
                      {of ? (
                        <GridCell
                          person={of.person}
                          field={field}
                          reachable={walk.at.row === index && walk.at.column === column}
                          editing={editing?.id === id && editing.field === field ? editing.begins : null}
                          onType={(value) => (typed.current = value)}
                          onDone={(value, leaving) => done(of, field, place, value, leaving)}
                          suggestions={field === "department" ? departments : undefined}
                        />
                      ) : (
                        <span className="mx-2 block h-2 w-1/2 rounded-sm bg-hairline/60" />
                      )}
                    </td>
                  );
                })}
                <td
                  data-row={index}
                  data-column={visible.length}
                  className="h-9 border-b border-hairline p-0 text-right"
                >
                  {of && (
                    <RowActions
                      of={of}
                      reachable={walk.at.row === index && walk.at.column === visible.length}
                      {...actions}
                    />
                  )}
                </td>
              </tr>
            );
          })}
          {below > 0 && (
            <tr aria-hidden>
              <td colSpan={visible.length + 1} className="p-0" style={{ height: below }} />
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}
