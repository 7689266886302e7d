"use client";

import { useMemo, useState } from "react";
import { toast } from "sonner";
import {
  ownLooks,
  setDirection,
  setSettings,
  signatureSettings,
  takeOffOwn,
  webSafeFont,
  type OwnLook,
  type Settings,
} from "@/core/signature";
import { readLink } from "@/core/links";
import { ChoiceField } from "../../parts/fields/choice-field";
import { ColorField } from "../../parts/fields/color-field";
import { FontField } from "../../parts/fields/font-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { TextSizeField } from "../../parts/fields/text-size-field";
import { useBench } from "../bench-context";
import { useSpelling } from "../sheet/use-spelling";
import { Section } from "../../parts/section";
import { CheckField } from "../../parts/fields/check-field";
import { SettledTextField } from "../../parts/fields/settled-text-field";
import { TextField } from "../../parts/fields/text-field";

/** What the settings are called, also where they are looked for by name. */
export const settingNames = {
  font: "Font of the signature",
  maxWidth: "Maximum width",
  links: "Links are underlined",
  direction: "Direction of the signature",
  language: "Language",
  spelling: "Check the spelling while typing",
  visit: "Page that dates and addresses lead to",
} as const;

/** What every part takes from: the settings of the whole signature. */
export function SignatureSettings() {
  const { editor, settings, palette } = useBench();
  const [spelling, setSpelling] = useSpelling();
  const set = (patch: Partial<Settings>): void =>
    editor.apply(({ tr }) => setSettings(tr, patch), { focus: false });
  const font = webSafeFont(settings.font);

  return (
    <>
      <Section title="Text of the whole signature">
        <FontField
          label={settingNames.font}
          value={settings.font}
          onChange={(family) => set({ font: family })}
          className="w-full"
        />
        <p className="mt-1 text-xs text-soft">
          {font ? `On ${font.foundOn}.` : "Not on most machines: recipients will see Arial."}
        </p>
        <OwnLooks name="font" />
        <div className="mt-2 flex gap-4">
          <TextSizeField label="Size" value={settings.size} onChange={(size) => set({ size })} />
          <MeasureField
            label="Line height"
            range={signatureSettings.attributes.lineHeight.value}
            value={settings.lineHeight}
            onChange={(lineHeight) => set({ lineHeight })}
          />
        </div>
        <OwnLooks name="size" />
      </Section>
      <Section title="Colours">
        <div className="flex gap-4">
          <ColorField
            label="Text"
            value={settings.textColor}
            palette={palette}
            onChange={(textColor) => textColor && set({ textColor })}
          />
          <ColorField
            label="Links"
            value={settings.linkColor}
            palette={palette}
            onChange={(linkColor) => linkColor && set({ linkColor })}
          />
        </div>
        <OwnLooks name="color" />
        <CheckField
          label={settingNames.links}
          checked={settings.linkUnderline}
          onChange={(on) => set({ linkUnderline: on })}
          className="mt-2"
        />
      </Section>
      <Section title="Widest it may be">
        <MeasureField
          label={settingNames.maxWidth}
          range={signatureSettings.attributes.maxWidth.value}
          quiet
          value={settings.maxWidth}
          className="w-24"
          onChange={(maxWidth) => set({ maxWidth })}
        />
      </Section>
      <Section title="Direction and language">
        <div className="flex items-end gap-4">
          <ChoiceField
            label={settingNames.direction}
            quiet
            value={settings.direction}
            choices={{ ltr: "left to right", rtl: "right to left" }}
            onChange={(direction) => editor.apply(({ tr }) => setDirection(tr, direction), { focus: false })}
          />
          <SettledTextField
            label={settingNames.language}
            value={settings.language}
            maxLength={35}
            placeholder="en"
            check={signatureSettings.attributes.language.value.check}
            onSettle={(language) => set({ language })}
            className="w-16"
          />
        </div>
        <CheckField
          label={settingNames.spelling}
          checked={spelling}
          onChange={setSpelling}
          className="mt-2"
        />
      </Section>
      <Section title="Dates and addresses lead to">
        <VisitLink value={settings.visitLink} onChange={(visitLink) => set({ visitLink })} />
        <p className="mt-1 text-xs text-soft">
          Phones link them by themselves, in their own blue. With a page here they keep your colour.
        </p>
      </Section>
    </>
  );
}

const words = { font: "font", size: "size", color: "colour" } as const;

/** Text that does not follow the signature in one thing, and the way to make it. */
function OwnLooks({ name }: { name: OwnLook }) {
  const { editor } = useBench();
  const count = useMemo(() => ownLooks(editor.state.doc)[name], [editor.state.doc, name]);
  if (count === 0) return null;
  return (
    <p className="mt-1 text-xs text-soft">
      {count === 1 ? "One place has" : `${count} places have`} a {words[name]} of{" "}
      {count === 1 ? "its" : "their"} own.{" "}
      <button
        type="button"
        onClick={() => editor.apply(({ tr }) => takeOffOwn(tr, name))}
        className="rounded-sm text-pine underline decoration-hairline underline-offset-2 hover:decoration-pine"
      >
        Use this {words[name]} there too
      </button>
    </p>
  );
}

function VisitLink({ value, onChange }: { value: string | null; onChange: (value: string | null) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const commit = (): void => {
    if (draft === null) return;
    if (draft.trim() === "") {
      setDraft(null);
      return onChange(null);
    }
    const reading = readLink(draft);
    if (!reading.ok) return setProblem(reading.message);
    if (reading.changes.length > 0) toast(`${reading.changes.join(" ")} It is ${reading.href} now.`);
    setDraft(null);
    onChange(reading.href);
  };
  return (
    <TextField
      label={settingNames.visit}
      quiet
      value={draft ?? value ?? ""}
      placeholder="nowhere"
      problem={problem}
      onChange={(event) => {
        setDraft(event.target.value);
        setProblem(null);
      }}
      onBlur={commit}
      onKeyDown={(event) => event.key === "Enter" && commit()}
    />
  );
}
