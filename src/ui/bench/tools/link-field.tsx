"use client";

import { Link2 } from "lucide-react";
import { NodeSelection } from "prosemirror-state";
import { Popover } from "radix-ui";
import { useState } from "react";
import { toast } from "sonner";
import { describeLink } from "@/core/links";
import { hrefOf, setLinkLook, type LinkAttributes } from "@/core/signature";
import { ChoiceField } from "../../parts/fields/choice-field";
import { LinkForm } from "../../links/link-form";
import { ColorField } from "../../parts/fields/color-field";
import { PopoverPanel } from "../../parts/popover-panel";
import { useBench } from "../bench-context";
import { leadingAt, linkMarkAt, linkRange, setLink } from "../editor/commands";

/** How this one link is drawn, unlike the others of the signature. */
function OneLook({ link }: { link: LinkAttributes }) {
  const { editor, palette } = useBench();
  const set = (patch: Partial<LinkAttributes>): void =>
    editor.apply(
      (now) => {
        const range = linkRange(now);
        return range && setLinkLook(now.tr, range.from, range.to, patch);
      },
      { focus: false },
    );
  return (
    <div className="mt-3 flex items-end gap-4 border-t border-hairline pt-2">
      <ColorField
        label="Colour of this link"
        value={link.color}
        clearable
        palette={palette}
        onChange={(color) => set({ color })}
      />
      <ChoiceField
        label="Underline"
        className="w-28"
        value={link.underline === null ? "inherited" : link.underline ? "always" : "never"}
        choices={{ inherited: "as all links", always: "always", never: "never" }}
        onChange={(next) => set({ underline: next === "inherited" ? null : next === "always" })}
      />
    </div>
  );
}

/** Where the selected text or picture leads, and how that link is drawn. */
export function LinkField({ current }: { current: string | null }) {
  const { editor, selection, linking } = useBench();
  const [open, setOpen] = useState(false);
  const { state } = editor;
  const part = selection.part;
  const leading = leadingAt(state);
  const linked = leading ? hrefOf(leading.node) : current;
  const possible =
    leading !== null ||
    (linkRange(state) !== null && !(state.selection instanceof NodeSelection && part?.node.isBlock));
  const ofText = leading || part?.node.type.name === "inlinePicture" ? null : linkMarkAt(state);

  const finish = (href: string | null, changes: readonly string[] = []): void => {
    const linking = setLink(editor.current(), href);
    setOpen(false);
    if (!linking && href !== linked)
      return void toast.error(
        "Nothing that is selected can lead anywhere: take text, a picture or a button.",
      );
    if (linking) editor.apply(() => linking);
    if (changes.length > 0) toast(`${changes.join(" ")} It is ${href} now.`);
  };

  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        disabled={!possible}
        aria-label="Link"
        title={possible ? (linked ?? "Link") : "Select text or a picture that should lead somewhere"}
        className={`inline-flex h-7 max-w-44 items-center gap-1.5 rounded-sm px-1.5 hover:bg-kelp disabled:opacity-40 disabled:hover:bg-transparent ${linked ? "text-pine" : ""}`}
      >
        <Link2 size={16} aria-hidden className="shrink-0" />
        {linked && <span className="truncate text-sm">{describeLink(linked).shown}</span>}
      </Popover.Trigger>
      <PopoverPanel label="Link" align="start" className="w-80 p-3">
        <LinkForm current={linked} defaults={linking} onLink={finish} onUnlink={() => finish(null)} />
        {ofText && <OneLook link={ofText} />}
      </PopoverPanel>
    </Popover.Root>
  );
}
