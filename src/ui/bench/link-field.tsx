"use client";

import { Link2, Unlink } from "lucide-react";
import { NodeSelection } from "prosemirror-state";
import { Popover } from "radix-ui";
import { PopoverPanel } from "../parts/popover-panel";
import { useState } from "react";
import { toast } from "sonner";
import { readLink } from "@/core/links";
import { Button } from "../parts/button";
import { useBench } from "./bench-context";
import { linkRange, setLink } from "./editor/commands";

/** Where the selected text or picture leads. */
export function LinkField({ current }: { current: string | null }) {
  const { editor, selection } = useBench();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const { state } = editor;
  const part = selection.part;
  const linked = part && "link" in part.node.attrs ? (part.node.attrs.link as string | null) : current;
  const possible =
    (part !== null && "link" in part.node.attrs) ||
    (linkRange(state) !== null && !(state.selection instanceof NodeSelection && part?.node.isBlock));

  const finish = (href: string | null): void => {
    editor.apply((now) => setLink(now, href));
    setOpen(false);
  };

  const submit = (): void => {
    const reading = readLink(draft);
    if (!reading.ok) return setProblem(reading.message);
    if (reading.changes.length > 0) toast(`${reading.changes.join(" ")} It is ${reading.href} now.`);
    finish(reading.href);
  };

  return (
    <Popover.Root
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setDraft(linked ?? "");
        setProblem(null);
      }}
    >
      <Popover.Trigger
        disabled={!possible}
        aria-label="Link"
        title={possible ? "Link" : "Select text or a picture that should lead somewhere"}
        className={`inline-flex h-7 max-w-44 items-center gap-1.5 rounded-sm px-1.5 hover:bg-kelp disabled:opacity-40 disabled:hover:bg-transparent ${linked ? "text-pine" : ""}`}
      >
        <Link2 size={16} aria-hidden className="shrink-0" />
        {linked && <span className="truncate text-sm">{linked}</span>}
      </Popover.Trigger>
      <PopoverPanel label="Link" align="start" className="w-80 p-3">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            submit();
          }}
        >
          <label className="block text-xs text-soft">
            Leads to
            <input
              autoFocus
              value={draft}
              placeholder="harrowfen.example/visit"
              onChange={(event) => {
                setDraft(event.target.value);
                setProblem(null);
              }}
              aria-invalid={problem !== null}
              className="mt-1 w-full border-b border-soft bg-transparent py-1 text-sm text-ink focus:border-pine"
            />
          </label>
          <p className="mt-1 text-xs text-soft">A page, a mail address or a phone number.</p>
          {problem && (
            <p role="alert" className="mt-1 text-xs text-rowan">
              {problem}
            </p>
          )}
          <div className="mt-3 flex gap-2">
            <Button type="submit" look="primary">
              Set link
            </Button>
            {linked && (
              <Button look="quiet" onClick={() => finish(null)}>
                <Unlink size={15} aria-hidden />
                Take it away
              </Button>
            )}
          </div>
        </form>
      </PopoverPanel>
    </Popover.Root>
  );
}
