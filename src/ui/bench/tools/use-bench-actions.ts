"use client";

/** What the Bench does beside editing the document, by name and key. */
import { useMemo } from "react";
import { toast } from "sonner";
import type { Form } from "../../signature/form-switch";
import type { BenchAction } from "../dialogs/action-palette";
import { focusNextArea } from "./next-area";
import { useBenchKeys } from "./use-bench-keys";
import type { PictureTarget } from "../pictures/place-picture";

/** What stands open over the Bench. */
export type Open =
  | { readonly kind: "picture"; readonly target: PictureTarget }
  | { readonly kind: "cut"; readonly source: string; readonly position: number }
  | { readonly kind: "icons"; readonly position: number }
  | { readonly kind: "palette" | "keys" | "versions" | "pattern" };

interface Options {
  readonly setOpen: (open: Open) => void;
  readonly focusSheet: () => void;
  /** Lets the tools show what is selected at this moment. */
  readonly catchUp: () => void;
  /** Whether the source stands beside the sheet. */
  readonly sourceOpen: boolean;
  readonly toggleSource: () => void;
  readonly form: Form;
  readonly setForm: (form: Form) => void;
  /** Whether the longest details are tried. */
  readonly trying: boolean;
  readonly tryLongest: () => void;
}

/** The toolbar's own link, where what is selected can lead somewhere; where it cannot, its own sentence about that. */
const openLink = (): void => {
  const link = document.querySelector<HTMLButtonElement>(
    "[role=toolbar][aria-label=Text] button[aria-label=Link]",
  );
  if (link?.disabled) toast(`${link.title}.`);
  else link?.click();
};

export function useBenchActions(options: Options): readonly BenchAction[] {
  const { setOpen, focusSheet, catchUp, form, setForm, trying, tryLongest, sourceOpen, toggleSource } =
    options;
  const actions = useMemo<readonly BenchAction[]>(() => {
    const opening = (kind: Exclude<Open["kind"], "picture" | "cut" | "icons">) => () => setOpen({ kind });
    /** Keys come faster than the tools follow the sheet. */
    const onWhatIsShown = (run: () => void) => (): void => {
      catchUp();
      run();
    };
    return [
      { id: "do", name: "Put in or do…", group: "Go", keys: "F2", run: onWhatIsShown(opening("palette")) },
      { id: "keys", name: "Show the keys", group: "Go", keys: "F1", run: opening("keys") },
      {
        id: "go-on",
        name: "Go on to the next area",
        group: "Go",
        keys: "F6",
        run: () => focusNextArea(focusSheet),
      },
      {
        id: "picture",
        name: "Picture",
        group: "Parts",
        keys: "Alt-Shift-p",
        run: () => setOpen({ kind: "picture", target: { kind: "cursor" } }),
      },
      {
        id: "small-picture",
        name: "Small picture",
        group: "In a line",
        keys: "Alt-Shift-i",
        run: () => setOpen({ kind: "picture", target: { kind: "in-line", at: null } }),
      },
      { id: "link", name: "Link", group: "Text", keys: "Mod-k", run: onWhatIsShown(openLink) },
      {
        id: "source",
        name: sourceOpen ? "Close the source" : "Show the source beside the sheet",
        group: "Signature",
        keys: "F8",
        run: toggleSource,
      },
      { id: "versions", name: "Versions", group: "Signature", keys: "Alt-Shift-v", run: opening("versions") },
      {
        id: "pattern",
        name: "Save as a pattern",
        group: "Signature",
        keys: "Alt-Shift-k",
        run: opening("pattern"),
      },
      {
        id: "form",
        name: form === "full" ? "Show what replies hold" : "Show the full form",
        group: "Signature",
        keys: "Alt-Shift-f",
        run: () => setForm(form === "full" ? "short" : "full"),
      },
      {
        id: "longest",
        name: trying ? "Show its own person" : "Try the longest details",
        group: "Signature",
        keys: "Alt-Shift-l",
        run: tryLongest,
      },
    ];
  }, [setOpen, focusSheet, catchUp, form, setForm, trying, tryLongest, sourceOpen, toggleSource]);
  useBenchKeys(actions);
  return actions;
}
