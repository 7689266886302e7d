/** What a node's writer knows: the settings, the person, the destination and the room it has. Lengths in px. */
import type { Node } from "prosemirror-model";
import { isHosted, publicAddress } from "../addresses";
import { withCampaign, writtenAddress } from "../links";
import type { Person } from "../people";
import type { Settings } from "./settings";
import type { Strut } from "./strut";
import type { CellPlace, TableMap } from "./table-map";

export type DestinationId =
  "webmail-paste" | "document-file" | "browser-archive" | "html-file" | "message" | "plain-text";

export interface Writing {
  readonly settings: Settings;
  /** Whose signature it is; null draws each field's fallback. */
  readonly person: Person | null;
  /** The public address that hosted pictures are under, without a closing slash. */
  readonly base: string;
  /** Whether the destination reads `mso-` properties; nothing pasted may hold them. */
  readonly documentEngine: boolean;
  /** The type that what is being written stands in, and need not say again. */
  readonly strut: Strut;
  /** Inner width of the cell being written. */
  readonly availableWidth: number;
  /** Set while the outer table itself is written. */
  readonly outermost: boolean;
  /** Where the cells of the row being written lie, and where the cell being written does. */
  readonly rowPlaces: {
    readonly map: TableMap;
    readonly places: readonly CellPlace[];
    readonly height: number | null;
    /** How many of the rows that a cell spans are written. */
    readonly rowsUnder: (place: CellPlace) => number;
  } | null;
  readonly cell: { readonly map: TableMap; readonly place: CellPlace; readonly rows: number } | null;
  /** The height that the row being written is given, and the vertical padding that its cells share. */
  readonly rowHeight: number | null;
  readonly sharedPadding: { readonly top: number; readonly bottom: number };
  /** Whether pictures of a line stand as blocks, as they do in an icon row. */
  readonly standingPictures: boolean;
  /** Whether places of pictures that are not chosen yet are drawn. */
  readonly picturePlaces: boolean;
  readonly write: (node: Node, writing: Writing) => string;
  readonly writePlain: (node: Node, writing: Writing) => string;
}

/** The HTML of a node's children, one after the other. */
export function writeChildren(node: Node, writing: Writing): string {
  let html = "";
  node.forEach((child) => {
    html += writing.write(child, writing);
  });
  return html;
}

/** The plain text of a node's children, a line each; children without text leave none. */
export function writePlainChildren(node: Node, writing: Writing): string {
  const parts: string[] = [];
  node.forEach((child) => {
    const text = writing.writePlain(child, writing);
    if (text) parts.push(text);
  });
  return parts.join("\n");
}

/** Where a link leads in what is compiled: hosted files under the public address, pages with the campaign. */
export const linkAddress = (href: string, { base, settings }: Writing): string =>
  writtenAddress(
    isHosted(href) || !settings.campaign ? publicAddress(href, base) : withCampaign(href, settings.campaign),
  );
