import { ChevronDown } from "lucide-react";
import { commonWebmail, standIns } from "@/core/clients";

interface Props {
  readonly characters: number;
  /** Whether what is counted has to fit into webmail's settings. */
  readonly limited: boolean;
  /** Whether what costs most is shown. */
  readonly open: boolean;
  /** Null where there is nothing more to show. */
  readonly onToggle: (() => void) | null;
}

/** How many characters the HTML has, against what common webmail takes. */
export function CharacterCount({ characters, limited, open, onToggle }: Props) {
  const limit = limited ? standIns[commonWebmail].signatureLimit : null;
  const over = limit !== null && characters > limit;
  const words = (
    <span className={over ? "font-medium text-rowan" : "text-soft"}>
      <span className={over ? "" : "text-ink"}>{characters.toLocaleString("en")}</span>
      {limit === null ? " characters" : ` of ${limit.toLocaleString("en")} characters`}
      {over && `, ${(characters - limit).toLocaleString("en")} too many`}
    </span>
  );
  if (!onToggle) return <span className="whitespace-nowrap text-xs">{words}</span>;
  return (
    <button
      type="button"
      aria-expanded={open}
      title="What costs most"
      onClick={onToggle}
      className="flex items-center gap-1 whitespace-nowrap rounded-sm px-1 py-0.5 text-xs hover:bg-kelp"
    >
      {words}
      <ChevronDown size={12} aria-hidden className={`text-soft ${open ? "rotate-180" : ""}`} />
    </button>
  );
}
