"use client";

/**
 * A long list of which only what is in view, and a little around it, is in the page; in rows of one or two columns. What has the focus
 * stays in it, wherever the page is scrolled to. Sizes in px.
 */
import { defaultRangeExtractor, useWindowVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { useTwoColumns } from "./use-two-columns";

interface Props {
  readonly label: string;
  /** Names each item, in order. */
  readonly keys: readonly string[];
  /** Two where the window is wide enough. */
  readonly columns: 1 | 2;
  /** How high a row is likely to be before it is drawn. */
  readonly estimate: number;
  /** Between rows. */
  readonly gap: number;
  /** Null while it is on its way. */
  readonly item: (key: string) => ReactNode;
  /** Is told which items are in the page, whenever others are. */
  readonly onShown: (keys: readonly string[]) => void;
}

/** Rows above and below the window: the next one is there for whoever goes on by the Tab key. */
const overscan = 1;

/** The window that a server draws for. */
const usualWindow = { width: 1280, height: 800 };

const inRows = (keys: readonly string[], columns: number): readonly (readonly string[])[] =>
  Array.from({ length: Math.ceil(keys.length / columns) }, (_, row) =>
    keys.slice(row * columns, (row + 1) * columns),
  );

/** As high as what comes is likely to be: in rows without height the window would hold them all. */
const Coming = ({ height }: { height: number }) => (
  <div role="status" aria-label="On its way" className="border-t border-hairline" style={{ height }} />
);

export function WindowedList({ label, keys, columns, estimate, gap, item, onShown }: Props) {
  const wide = useTwoColumns();
  const inRow = wide ? columns : 1;
  const rows = useMemo(() => inRows(keys, inRow), [keys, inRow]);
  const holder = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(0);
  const [focused, setFocused] = useState<number | null>(null);
  const virtualizer = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => estimate,
    getItemKey: (row) => rows[row]?.[0] ?? row,
    gap,
    overscan,
    scrollMargin: above,
    initialRect: usualWindow,
    initialOffset: 0,
    rangeExtractor: (range) => {
      const shown = defaultRangeExtractor(range);
      return focused === null || focused >= rows.length || shown.includes(focused)
        ? shown
        : [...shown, focused].sort((one, other) => one - other);
    },
  });

  // What stands above the list comes and goes.
  useLayoutEffect(() => {
    const element = holder.current;
    if (!element) return;
    const measure = (): void => setAbove(element.getBoundingClientRect().top + window.scrollY);
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(document.body);
    return () => observer.disconnect();
  }, []);

  const drawn = virtualizer.getVirtualItems();
  const shown = drawn.flatMap(({ index }) => rows[index] ?? []);
  const named = shown.join(" ");
  useEffect(() => {
    if (named) onShown(named.split(" "));
  }, [named, onShown]);

  return (
    <div
      ref={holder}
      role="list"
      aria-label={label}
      className="relative"
      style={{ height: virtualizer.getTotalSize() }}
    >
      {drawn.map(({ index, key, start }) => (
        <div
          key={key}
          ref={virtualizer.measureElement}
          data-index={index}
          role="presentation"
          onFocus={() => setFocused(index)}
          onBlur={() => setFocused(null)}
          className={`absolute left-0 top-0 grid w-full items-start gap-x-9 ${inRow === 2 ? "grid-cols-2" : ""}`}
          style={{ transform: `translateY(${start - virtualizer.options.scrollMargin}px)` }}
        >
          {rows[index]?.map((each, column) => (
            <div
              key={each}
              role="listitem"
              aria-posinset={index * inRow + column + 1}
              aria-setsize={keys.length}
              className="min-w-0"
            >
              {item(each) ?? <Coming height={estimate} />}
            </div>
          ))}
        </div>
      ))}
    </div>
  );
}
