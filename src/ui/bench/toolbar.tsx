"use client";

import { Bold, Italic, Underline } from "lucide-react";
import { toggleMark } from "prosemirror-commands";
import { schema, webSafeFont, webSafeFonts } from "@/core/signature";
import { ColorField } from "../parts/color-field";
import { IconButton } from "../parts/icon-button";
import { MeasureField } from "../parts/measure-field";
import { useBench } from "./bench-context";
import { setTextValue, textState } from "./editor/commands";
import { LinkField } from "./link-field";

/** The styling of what is selected, or of what is typed next. */
export function Toolbar() {
  const { editor, palette } = useBench();
  const text = textState(editor.state);
  const set = (name: "color" | "size" | "font", value: string | number, focus = true): void =>
    editor.apply((state) => setTextValue(state, name, value), { focus });
  const keepSelection = (event: React.MouseEvent): void => event.preventDefault();

  return (
    <div
      role="toolbar"
      aria-label="Text"
      className="flex min-h-10 items-center gap-2 border-b border-hairline px-4"
    >
      <label className="flex items-center">
        <span className="sr-only">Font</span>
        <select
          value={text.font}
          onChange={(event) => set("font", event.target.value)}
          title={webSafeFont(text.font)?.foundOn ?? "Not on most machines: recipients will see Arial"}
          className="w-36 rounded-sm bg-paper py-1"
          style={{ fontFamily: text.font }}
        >
          {!webSafeFont(text.font) && <option value={text.font}>{text.font} (not web-safe)</option>}
          {webSafeFonts.map(({ family }) => (
            <option key={family} value={family} style={{ fontFamily: family }}>
              {family}
            </option>
          ))}
        </select>
      </label>
      <MeasureField
        label="Text size"
        quiet
        value={text.size}
        least={6}
        most={72}
        step={0.5}
        onChange={(size) => set("size", size, false)}
        className="w-14"
      />
      <span className="flex gap-0.5" onMouseDown={keepSelection}>
        <IconButton
          label="Bold"
          pressed={text.bold}
          onClick={() => editor.run(toggleMark(schema.marks.bold!))}
        >
          <Bold size={16} aria-hidden />
        </IconButton>
        <IconButton
          label="Italic"
          pressed={text.italic}
          onClick={() => editor.run(toggleMark(schema.marks.italic!))}
        >
          <Italic size={16} aria-hidden />
        </IconButton>
        <IconButton
          label="Underline"
          pressed={text.underline}
          onClick={() => editor.run(toggleMark(schema.marks.underline!))}
        >
          <Underline size={16} aria-hidden />
        </IconButton>
      </span>
      <ColorField
        label="Text colour"
        quiet
        value={text.color}
        palette={palette}
        onChange={(color) => color && set("color", color, false)}
      />
      <LinkField current={text.link} />
    </div>
  );
}
