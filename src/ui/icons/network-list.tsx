"use client";

import { Pencil, Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type OwnIcon } from "@/contract";
import { glyphList } from "@/core/icons";
import { networkKind, type NetworkKind } from "@/core/links";
import { ChoiceField } from "../parts/fields/choice-field";
import { ask } from "../parts/asking/ask";
import { Button } from "../parts/button";
import { IconButton } from "../parts/icon-button";
import { IconMark, networkChoice } from "./network-mark";
import { TextField } from "../parts/fields/text-field";
import { useContractForm } from "../parts/asking/use-contract-form";
import { FormProblem } from "../parts/form-problem";

interface Props {
  readonly networks: readonly NetworkKind[];
  readonly onNetworks: (networks: readonly NetworkKind[]) => void;
  readonly own: readonly OwnIcon[];
  readonly onChoose: (network: NetworkKind) => void;
}

interface FormProps {
  /** The one to change, or null for a new one. */
  readonly network: NetworkKind | null;
  readonly own: readonly OwnIcon[];
  readonly onKept: (network: NetworkKind) => void;
}

const idOf = (name: string): string =>
  name
    .normalize("NFKD")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 60) || "network";

/** Its id is made of its name when it is kept. */
const newNetwork: NetworkKind = { id: "network", name: "", glyph: "link", pattern: "" };

/** A network: its name, an icon, and where its pages are. */
function NetworkForm({ network, own, onKept }: FormProps) {
  const form = useContractForm(networkKind, network ?? newNetwork, async (typed) => {
    const asked = { network: { ...typed, id: network?.id ?? idOf(typed.name) } };
    onKept((await ask(endpoints.saveNetwork, { body: asked })).network);
  });
  return (
    <form className="mt-2 border-t border-hairline pt-2" onSubmit={(event) => void form.submit(event)}>
      <div className="grid grid-cols-[1fr_1fr] gap-3">
        <TextField label="Name" autoFocus maxLength={60} {...form.field("name")} />
        <ChoiceField
          label="Icon"
          value={form.typed.glyph}
          choices={Object.fromEntries([
            ...glyphList.map((each) => [each.name, each.label] as const),
            ...own.map((icon) => [`own:${icon.hash}`, `${icon.name}, your own`] as const),
          ])}
          onChange={(glyph) => form.set("glyph", glyph)}
        />
      </div>
      <TextField
        label="Where its pages are; the handle comes after it, or where {handle} stands"
        maxLength={300}
        placeholder="https://plotline.example/"
        className="mt-2"
        {...form.field("pattern")}
      />
      <FormProblem>{form.problem}</FormProblem>
      <Button type="submit" className="mt-2" disabled={form.busy}>
        Keep the network
      </Button>
    </form>
  );
}

/** The user's own list of networks. */
export function NetworkList({ networks, own, onNetworks, onChoose }: Props) {
  /** The network that is changed, or "new". */
  const [edited, setEdited] = useState<NetworkKind | "new" | null>(null);
  const remove = async ({ id }: NetworkKind): Promise<void> => {
    try {
      await ask(endpoints.deleteNetwork, { body: { id } });
      onNetworks(networks.filter((network) => network.id !== id));
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  return (
    <>
      <ul>
        {networks.map((network) => (
          <li key={network.id} className="flex items-center border-b border-hairline">
            <button
              type="button"
              onClick={() => onChoose(network)}
              className="flex min-w-0 flex-1 items-center gap-3 rounded-sm px-1 py-1.5 text-left hover:bg-kelp"
            >
              <span className="flex h-5 w-5 items-center justify-center">
                <IconMark choice={networkChoice(network)} />
              </span>
              <span className="w-32 truncate">{network.name}</span>
              <span className="truncate font-mono text-xs text-soft">
                {network.pattern.replace(/^https?:\/\//, "")}
              </span>
            </button>
            <IconButton label={`Change ${network.name}`} onClick={() => setEdited(network)}>
              <Pencil size={14} aria-hidden />
            </IconButton>
            <IconButton label={`Take ${network.name} off the list`} onClick={() => void remove(network)}>
              <Trash2 size={14} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      {networks.length === 0 && <p className="text-soft">No network is on your list yet.</p>}
      {edited ? (
        <NetworkForm
          key={edited === "new" ? "new" : edited.id}
          network={edited === "new" ? null : edited}
          own={own}
          onKept={(kept) => {
            const known = networks.some(({ id }) => id === kept.id);
            onNetworks(
              known
                ? networks.map((network) => (network.id === kept.id ? kept : network))
                : [...networks, kept],
            );
            // Another form may have been opened while this one was kept.
            setEdited((now) => (now === edited ? null : now));
          }}
        />
      ) : (
        <Button look="quiet" className="-ml-2 mt-2" onClick={() => setEdited("new")}>
          <Plus size={15} aria-hidden />
          New network
        </Button>
      )}
    </>
  );
}
