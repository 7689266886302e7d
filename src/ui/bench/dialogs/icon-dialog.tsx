"use client";

import { X } from "lucide-react";
import type { Node } from "prosemirror-model";
import { useRef, useState } from "react";
import type { IconChoice } from "@/contract";
import { glyphLabel, glyphList, type IconLook } from "@/core/icons";
import { iconRow } from "@/core/signature";
import { callingCodeOf, type NetworkKind } from "@/core/links";
import type { Person } from "@/core/people";
import { GlyphDrawing } from "../../icons/glyph-drawing";
import { IconTile } from "../../icons/icon-tile";
import { NetworkList } from "../../icons/network-list";
import { IconMark, networkChoice } from "../../icons/network-mark";
import { OwnIcons } from "../../icons/own-icons";
import { glyphFor, readDestination } from "../../icons/read-destination";
import { useOwnIcons } from "../../icons/use-own-icons";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { formatCount } from "../../parts/format";
import { IconButton } from "../../parts/icon-button";
import { useAttempt } from "../../parts/asking/use-attempt";
import { WordSwitch } from "../../parts/fields/word-switch";
import type { ChosenIcon } from "../pictures/use-icon-rows";
import { TextField } from "../../parts/fields/text-field";

interface Props {
  /** The row that the icons go into; null when it is gone meanwhile. */
  readonly row: Node | null;
  readonly linkColor: string;
  readonly person: Person | null;
  readonly organisation: string;
  readonly networks: readonly NetworkKind[];
  readonly onNetworks: (networks: readonly NetworkKind[]) => void;
  readonly onClose: () => void;
  readonly onChoose: (icons: readonly ChosenIcon[], look: IconLook) => Promise<void>;
}

interface Draft {
  readonly id: number;
  readonly choice: IconChoice;
  readonly name: string;
  readonly network: NetworkKind | null;
  readonly typed: string;
}

type Source = "networks" | "drawn" | "own";
const sources = { networks: "Networks", drawn: "Drawn", own: "Your own" } as const;

/** What a glyph leads to by itself, from the person's details. */
const ownDetail = (glyph: string, person: Person | null): string =>
  ({ mail: person?.mail, phone: person?.phone, mobile: person?.mobile, web: person?.web })[glyph] ?? "";

function altOf({ name }: Draft, href: string | null, network: NetworkKind | null, who: string): string {
  if (network) return who ? `${who} on ${network.name}` : network.name;
  if (href && /^mailto:/i.test(href)) return `Write to ${who || "us"}`;
  if (href && /^tel:/i.test(href)) return `Call ${who || "us"}`;
  return who && name === glyphLabel("web") ? `${who} on the web` : name;
}

/** Choosing icons for a row, each with where it leads; an address that is pasted finds its icon by itself. */
export function IconDialog({
  row,
  linkColor,
  person,
  organisation,
  networks,
  onNetworks,
  onClose,
  onChoose,
}: Props) {
  const own = useOwnIcons();
  const [source, setSource] = useState<Source>(networks.length > 0 ? "networks" : "drawn");
  const [drafts, setDrafts] = useState<readonly Draft[]>([]);
  const [pasted, setPasted] = useState("");
  const [pasteProblem, setPasteProblem] = useState<string | null>(null);
  const next = useRef(1);
  const { busy, problem, attempt } = useAttempt();
  const callingCode = callingCodeOf(person?.phone ?? "");
  const who = organisation || person?.organisation || person?.name || "";

  const add = (draft: Omit<Draft, "id">): void =>
    setDrafts((before) => [...before, { ...draft, id: next.current++ }]);
  const addGlyph = (glyph: string, typed = ownDetail(glyph, person)): void =>
    add({ choice: { kind: "glyph", glyph }, name: glyphLabel(glyph), network: null, typed });
  const addNetwork = (network: NetworkKind, typed = ""): void =>
    add({ choice: networkChoice(network), name: network.name, network, typed });

  /** A draft's destination; of a glyph, the network that a pasted address names takes its place. */
  const settle = (draft: Draft) => {
    if (draft.typed.trim() === "") return { draft, destination: null };
    const destination = readDestination(networks, draft.network, draft.typed, callingCode);
    const network = destination.ok ? (destination.network ?? draft.network) : draft.network;
    const moved = network !== draft.network && network !== null && draft.choice.kind === "glyph";
    return {
      draft: moved
        ? { ...draft, network, name: network.name, choice: networkChoice(network) }
        : { ...draft, network },
      destination,
    };
  };
  const settled = drafts.map(settle);
  const wrong = settled.some(({ destination }) => destination?.ok === false);

  /** One address a line, or several parted by spaces. */
  const takePasted = (): void => {
    const left: string[] = [];
    for (const typed of pasted.split(/\s+/).filter((part) => part)) {
      const destination = readDestination(networks, null, typed, callingCode);
      if (!destination.ok) {
        left.push(typed);
        setPasteProblem(destination.message);
      } else if (destination.network) addNetwork(destination.network, typed);
      else addGlyph(glyphFor(destination.href, null), typed);
    }
    setPasted(left.join(" "));
    if (left.length === 0) setPasteProblem(null);
  };

  const put = async (): Promise<void> => {
    const own = drafts.some(({ choice }) => choice.kind === "own");
    const kept = row ? iconRow.of(row).look : null;
    const look = kept ?? { style: "solid", color: own ? null : linkColor, plate: "#E2ECE8" };
    const icons = settled.map(({ draft, destination }): ChosenIcon => {
      const href = destination?.ok ? destination.href : null;
      return { choice: draft.choice, href, alt: altOf(draft, href, draft.network, who) };
    });
    await attempt(() => onChoose(icons, look));
  };

  return (
    <DialogFrame
      title="Icons for the row"
      description="Choose as many as you like, and say where each leads."
      onClose={onClose}
      className="flex h-[640px] w-[980px] flex-col"
    >
      <div className="mt-4 grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-8">
        <div className="flex min-h-0 flex-col">
          <form
            className="mb-4"
            onSubmit={(event) => {
              event.preventDefault();
              takePasted();
            }}
          >
            <div className="flex items-end gap-2">
              <TextField
                label="Paste the address of a page, and its icon is found"
                value={pasted}
                placeholder="https://plotline.example/harrowfen"
                problem={pasteProblem}
                onChange={(event) => {
                  setPasted(event.target.value);
                  setPasteProblem(null);
                }}
                className="min-w-0 flex-1"
              />
              <Button type="submit" disabled={pasted.trim() === ""}>
                Take it
              </Button>
            </div>
          </form>
          <WordSwitch label="Icons from" value={source} choices={sources} onChange={setSource} />
          <div className="relative mt-3 min-h-0 flex-1 overflow-y-auto pr-1">
            {source === "networks" && (
              <NetworkList
                networks={networks}
                own={own.icons ?? []}
                onNetworks={onNetworks}
                onChoose={(network) => addNetwork(network)}
              />
            )}
            {source === "drawn" && (
              <ul className="grid grid-cols-4 gap-1.5">
                {glyphList.map(({ name, label }) => (
                  <IconTile key={name} label={label} onChoose={() => addGlyph(name)}>
                    <GlyphDrawing name={name} size={24} />
                  </IconTile>
                ))}
              </ul>
            )}
            {source === "own" && (
              <OwnIcons
                own={own}
                onChoose={(icon) =>
                  add({
                    choice: { kind: "own", hash: icon.hash },
                    name: icon.name,
                    network:
                      networks.find(({ name }) => name.toLowerCase() === icon.name.toLowerCase()) ?? null,
                    typed: "",
                  })
                }
              />
            )}
          </div>
        </div>

        <div className="flex min-h-0 flex-col">
          <h3 className="border-b border-pine pb-1 text-sm">In the row, in this order</h3>
          <div className="min-h-0 flex-1 overflow-y-auto">
            {drafts.length === 0 && (
              <p className="py-6 text-soft">Nothing is chosen yet. Click an icon, or paste an address.</p>
            )}
            <ul>
              {settled.map(({ draft, destination }) => (
                <li key={draft.id} className="flex items-start gap-3 border-b border-hairline py-2">
                  <span className="mt-1 flex h-7 w-7 shrink-0 items-center justify-center">
                    <IconMark choice={draft.choice} weight="solid" size={24} />
                  </span>
                  <div className="min-w-0 flex-1 text-xs text-soft">
                    <TextField
                      label={`${draft.name} leads to`}
                      autoFocus
                      value={draft.typed}
                      placeholder={draft.network ? "handle or address" : "address"}
                      problem={destination?.ok === false ? destination.message : null}
                      onChange={(event) =>
                        setDrafts((before) =>
                          before.map((each) =>
                            each.id === draft.id ? { ...each, typed: event.target.value } : each,
                          ),
                        )
                      }
                    />
                    {destination?.ok && (
                      <span className="mt-1 block [overflow-wrap:anywhere]">
                        {destination.href}
                        {destination.changes.length > 0 && ` · ${destination.changes.join(" ")}`}
                      </span>
                    )}
                  </div>
                  <IconButton
                    label={`Leave ${draft.name} out`}
                    onClick={() => setDrafts((before) => before.filter(({ id }) => id !== draft.id))}
                  >
                    <X size={15} aria-hidden />
                  </IconButton>
                </li>
              ))}
            </ul>
          </div>
          <div className="flex items-center gap-3 border-t border-hairline pt-3">
            <Button
              look="primary"
              disabled={busy || drafts.length === 0 || wrong || row === null}
              onClick={() => void put()}
            >
              {busy ? "Drawing…" : `Put in ${formatCount(drafts.length, "icon")}`}
            </Button>
            {problem && (
              <p role="alert" className="text-sm text-rowan">
                {problem}
              </p>
            )}
          </div>
        </div>
      </div>
    </DialogFrame>
  );
}
