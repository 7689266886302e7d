"use client";

import { narrowestColumn, row, setAttributes, widest } from "@/core/signature";
import { px } from "@/core/values";
import { MeasureField } from "../../parts/fields/measure-field";
import { useBench } from "../bench-context";
import type { PlacedCell } from "../editor/selection";
import { evenOut } from "../editor/table-commands";
import { Section } from "../../parts/section";

interface Props {
  readonly cells: readonly [PlacedCell, ...PlacedCell[]];
  /** Of the first cell; px. */
  readonly width: number;
  readonly onWidth: (width: number) => void;
}

/** The width of the selected columns and the height of the selected rows. */
export function BandMeasures({ cells, width, onWidth }: Props) {
  const { editor } = useBench();
  const [{ map, place }] = cells;
  const columns = [...new Set(cells.map((cell) => cell.place.column))];
  const single = cells.every((cell) => cell.place.colspan === 1);
  const widths = new Set(columns.map((column) => map.columnWidths[column]));
  const rows = new Map(
    cells.map(({ position }) => {
      const at = editor.state.doc.resolve(position);
      return [at.before(), at.parent] as const;
    }),
  );
  const heights = new Set([...rows.values()].map((each) => row.of(each).height));
  const [height = null] = heights.size === 1 ? heights : [];

  const setHeight = (value: number | null): void =>
    editor.apply(
      ({ tr }) => {
        for (const position of rows.keys()) setAttributes(tr, position, row, { height: value });
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );

  return (
    <Section
      title={`${columns.length > 1 ? `${columns.length} columns` : "Column and row"}, of ${map.width} px`}
    >
      <div className="flex items-end gap-3">
        <MeasureField
          label={columns.length > 1 ? "Width of each" : `Width of column ${place.column + 1}`}
          quiet
          value={single && widths.size > 1 ? null : width}
          range={px(narrowestColumn, widest)}
          disabled={!single}
          className="w-20"
          onChange={onWidth}
        />
        <button
          type="button"
          disabled={new Set(map.columnWidths).size === 1}
          onClick={() => editor.run(evenOut)}
          className="whitespace-nowrap rounded-sm pb-0.5 text-xs text-pine underline disabled:text-soft disabled:no-underline"
        >
          Even out
        </button>
      </div>
      <div className="mt-1.5 flex items-end gap-3">
        <MeasureField
          label={rows.size > 1 ? "Height of each row" : "Height of the row"}
          quiet
          value={height}
          range={row.attributes.height.value.value}
          className="w-20"
          onChange={setHeight}
        />
        {height === null ? (
          <span className="pb-0.5 text-xs text-soft">
            {heights.size > 1 ? "rows differ" : "row as high as it needs"}
          </span>
        ) : (
          <button
            type="button"
            onClick={() => setHeight(null)}
            className="rounded-sm pb-0.5 text-xs text-pine underline"
          >
            As high as it needs
          </button>
        )}
      </div>
    </Section>
  );
}
