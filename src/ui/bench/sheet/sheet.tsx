"use client";

import { useRef } from "react";
import type { Settings } from "@/core/signature";
import { useBench } from "../bench-context";
import { ColumnRule } from "./column-rule";
import { FindingMarks } from "./finding-marks";
import { LetterAbove } from "./letter-above";
import { RowRule } from "./row-rule";
import { useDrawnTable } from "./use-drawn-table";

interface Props {
  readonly mount: (element: HTMLElement | null) => void;
  readonly settings: Settings;
  readonly stack: string;
  /** Whether something stands beside it that needs room. */
  readonly beside: boolean;
}

/** The message as it will be sent, with the signature at true size between its two rules. */
export function Sheet({ mount, settings, stack, beside }: Props) {
  const { form } = useBench();
  const holder = useRef<HTMLDivElement>(null);
  const drawn = useDrawnTable(holder);
  return (
    <div className={`min-h-0 flex-1 overflow-auto px-2 py-4 ${beside ? "" : "lg:px-6"}`}>
      <div className="sheet mx-auto min-h-full w-fit border border-hairline bg-canvas pb-8 pl-12 pr-4 pt-4 lg:min-w-[640px] lg:px-16">
        <LetterAbove />
        <div className="flex" dir={settings.direction}>
          <div>
            <ColumnRule drawn={drawn.columns} />
            <div ref={holder} className="relative">
              <RowRule rows={drawn.rows} />
              <FindingMarks rows={drawn.rows} />
              <div
                ref={mount}
                dir={settings.direction}
                lang={settings.language || undefined}
                className="signature-editor"
                data-form={form}
                style={
                  {
                    fontFamily: stack,
                    fontSize: `${settings.size}px`,
                    lineHeight: `${Math.round(settings.size * settings.lineHeight)}px`,
                    color: settings.textColor,
                    "--link-color": settings.linkColor,
                    "--link-decoration": settings.linkUnderline ? "underline" : "none",
                  } as React.CSSProperties
                }
              />
            </div>
          </div>
        </div>
      </div>
    </div>
  );
}
