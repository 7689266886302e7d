"use client";

import {
  Bold,
  CaseUpper,
  Highlighter,
  Italic,
  MoveHorizontal,
  RemoveFormatting,
  Strikethrough,
  Subscript,
  Superscript,
  Underline,
} from "lucide-react";
import { letterSpacing, mixed, schema, type Mixed } from "@/core/signature";
import { ColorField, ColorSwatch } from "../../parts/fields/color-field";
import { FontField } from "../../parts/fields/font-field";
import { IconButton } from "../../parts/icon-button";
import { MeasureField } from "../../parts/fields/measure-field";
import { TextSizeField } from "../../parts/fields/text-size-field";
import { useBench } from "../bench-context";
import {
  setHighlight,
  setLetterSpacing,
  setTextValue,
  takeStylingOff,
  textState,
  toggle,
  toggleUnderline,
} from "../editor/commands";
import { LinkField } from "./link-field";
import { TableMenus } from "./table-menu";

/** The value that all of the text has, or null. */
const common = <T,>(value: T | Mixed): T | null => (value === mixed ? null : value);

/** The marks that text has or has not. */
const toggles = [
  { mark: "bold", label: "Bold", Icon: Bold },
  { mark: "italic", label: "Italic", Icon: Italic },
  { mark: "underline", label: "Underline", Icon: Underline },
  { mark: "upperCase", label: "Capitals", Icon: CaseUpper },
  { mark: "strikethrough", label: "Strikethrough", Icon: Strikethrough },
  { mark: "superscript", label: "Superscript", Icon: Superscript },
  { mark: "subscript", label: "Subscript", Icon: Subscript },
] as const;

/** The styling of what is selected, or of what is typed next. */
export function Toolbar() {
  const { editor, palette, altContext } = useBench();
  const text = textState(editor.state, altContext.person);
  const stylable = takeStylingOff(editor.state);
  const set = (name: "color" | "size" | "font", value: string | number, focus = true): void =>
    editor.apply((state) => setTextValue(state, name, value), { focus });
  const keepSelection = (event: React.MouseEvent): void => event.preventDefault();

  return (
    <div
      role="toolbar"
      aria-label="Text"
      className="flex min-h-10 flex-wrap items-center gap-x-2 gap-y-1 border-b border-hairline px-4 py-0.5"
    >
      <FontField
        label="Font"
        value={common(text.font)}
        onChange={(family) => set("font", family)}
        className="w-28"
      />
      <TextSizeField
        label="Text size"
        quiet
        value={common(text.size)}
        onChange={(size) => set("size", size, false)}
        className="w-10"
      />
      <span className="flex gap-0.5" onMouseDown={keepSelection}>
        {toggles.map(({ mark, label, Icon }) => (
          <IconButton
            key={mark}
            label={label}
            pressed={text[mark] === mixed ? "mixed" : text[mark]}
            onClick={() => editor.run(mark === "underline" ? toggleUnderline : toggle(schema.marks[mark]))}
          >
            <Icon size={16} aria-hidden />
          </IconButton>
        ))}
        <IconButton
          label="Take the styling off"
          disabled={!stylable}
          onClick={() => editor.run(takeStylingOff)}
        >
          <RemoveFormatting size={16} aria-hidden />
        </IconButton>
      </span>
      <ColorField
        label="Text colour"
        quiet
        value={common(text.color)}
        mixed={text.color === mixed}
        palette={palette}
        onChange={(color) => color && set("color", color, false)}
      />
      <span className="flex items-center gap-1 text-soft" title="Colour behind the text">
        <Highlighter size={14} aria-hidden />
        <ColorSwatch
          label="Highlight"
          clearable
          value={common(text.highlight)}
          mixed={text.highlight === mixed}
          palette={palette}
          onChange={(color) => editor.apply((state) => setHighlight(state, color), { focus: false })}
        />
      </span>
      <span className="flex items-center gap-1 text-soft" title="Space between letters">
        <MoveHorizontal size={14} aria-hidden />
        <MeasureField
          label="Letter spacing"
          quiet
          value={common(text.letterSpacing)}
          none="mixed"
          range={letterSpacing.attributes.spacing.value}
          onChange={(spacing) => editor.apply((state) => setLetterSpacing(state, spacing), { focus: false })}
          className="w-11"
        />
      </span>
      <LinkField current={common(text.link)} />
      <span className="ml-auto flex">
        <TableMenus />
      </span>
    </div>
  );
}
