/** Findings about one picture: where it is, what it says, how sharp, how heavy and how true to shape it is. */
import { append } from "../values";
import type { Node } from "prosemirror-model";
import { isHosted, isPrivateHost } from "../addresses";
import { isUsable, type AddressReport } from "../links";
import { budgets, type BudgetKind, type Size } from "../pictures";
import { image, isOwnPicture, type PictureAttributes } from "../signature";
import type { Found } from "./finding";

/** What is known of a picture's file, by its address. */
export interface PictureFacts {
  /** Of the file, px; null where no picture was found. */
  readonly pixels: Size | null;
  /** Pixels that would be needed for its density; null where it has enough. */
  readonly needed: Size | null;
  readonly bytes: number;
  readonly use: BudgetKind;
  /** What is wrong with its address, for a picture from elsewhere; null where nothing is. */
  readonly trouble: {
    readonly usable: boolean;
    /** Whether it is the address of a page. */
    readonly page: boolean;
    readonly message: string;
    /** Where the picture is instead, where that was found. */
    readonly better: string | null;
  } | null;
}

/** The facts of a picture that is hosted here, and so is open to all. */
export const factsOfHosted = ({
  pixels,
  needed,
  bytes,
  use,
}: Pick<PictureFacts, "pixels" | "needed" | "bytes" | "use">): PictureFacts => ({
  pixels,
  needed,
  bytes,
  use,
  trouble: null,
});

/** Largest side of an icon's file; px. */
const largestIcon = 96;

/** The facts of a picture at an address elsewhere, from what was found there. */
export function factsOfForeign({ picture, verdict, message, better }: AddressReport): PictureFacts {
  const { width = 0, height = 0, bytes = 0, frames = 1 } = picture ?? {};
  return {
    pixels: picture && { width, height },
    needed: null,
    bytes,
    use: frames > 1 ? "loop" : Math.max(width, height) <= largestIcon ? "icon" : "photo",
    trouble:
      verdict === "open"
        ? null
        : { usable: isUsable({ verdict }), page: verdict === "page", message, better },
  };
}

export type PictureFactsBySource = Readonly<Record<string, PictureFacts>>;

const useNames: Readonly<Record<BudgetKind, string>> = {
  photo: "a photo",
  logo: "a logo",
  icon: "an icon",
  banner: "a banner",
  loop: "a loop",
};

const kilobytes = (bytes: number): string => `${Math.max(1, Math.round(bytes / 1024))} KB`;

/** A px of rounding on either side stretches nothing that anybody sees; this part more does. */
const stretchLimit = 0.02;

const isStretched = ({ width, height }: Size, pixels: Size): boolean => {
  const natural = (width * pixels.height) / pixels.width;
  return Math.abs(natural - height) > Math.max(1, height * stretchLimit);
};

const isForeign = (source: string): boolean => /^https?:\/\//i.test(source);

/** `photo.png`, and what cameras and programs call files: `IMG_2041`, `DSC00412`, `Screenshot 2026-05-01`. */
const isFileName = (alt: string): boolean =>
  /\.(?:png|jpe?g|gif|webp|svg|avif|bmp)$/i.test(alt.trim()) ||
  /^(?:img|dsc[nf]?|pxl|image|photo|screenshot|untitled)[-_ ]?\d[\d-_ ]*$/i.test(alt.trim());

/** What displays of twice the density need; CSS px become so many px of the file. */
const sharp = 2;

/**
 * The pixels that the file of a picture would need to be sharp at the size that it is shown at, or null where it has
 * enough, or where nothing is known of it. A px of rounding is no lack; one that is drawn out of proportion is judged by
 * its sharper side.
 */
export function pixelsLacking(
  { width, height }: Size,
  { pixels, needed, use }: Pick<PictureFacts, "pixels" | "needed" | "use">,
): Size | null {
  // A loop is drawn at the density that its weight allows, and what its pictures lack is known.
  if (needed || !pixels || use === "loop") return needed;
  const wanted = { width: width * sharp, height: height * sharp };
  return pixels.width >= wanted.width - 1 || pixels.height >= wanted.height - 1 ? null : wanted;
}

type OfPicture = Omit<Found, "position">;

function checkFile(picture: PictureAttributes, facts: PictureFacts): readonly OfPicture[] {
  const { pixels, bytes, use, trouble } = facts;
  const needed = pixelsLacking(picture, facts);
  const found: OfPicture[] = [];
  if (trouble)
    found.push({
      code: trouble.usable ? "picture-moved" : trouble.page ? "picture-is-a-page" : "picture-not-open",
      message: trouble.message,
    });
  if (pixels && needed)
    found.push({
      code: "picture-too-few-pixels",
      message: `It has ${pixels.width} × ${pixels.height} px, and needs ${needed.width} × ${needed.height} px to be sharp at ${picture.width} × ${picture.height}: find a larger original, or show it smaller.`,
    });
  if (bytes > budgets[use])
    found.push({
      code: "picture-too-heavy",
      message: `It weighs ${kilobytes(bytes)}, and ${kilobytes(budgets[use])} is the most for ${useNames[use]}.`,
    });
  if (pixels && isStretched(picture, pixels))
    found.push({
      code: "picture-stretched",
      message: `It is drawn ${picture.width} × ${picture.height} px out of proportion: its file is ${pixels.width} × ${pixels.height} px.`,
    });
  if (use === "loop")
    found.push({
      code: "loop-stands-still",
      message: "It moves, and where only its first frame is shown that one has to say it all.",
    });
  return found;
}

/** Formats that not every client shows. */
const formats = {
  svg: "picture-svg",
  webp: "picture-webp",
  avif: "picture-avif",
} as const;

function checkAddress({ source }: PictureAttributes): readonly OfPicture[] {
  if (!isHosted(source) && !isForeign(source))
    return [
      {
        code: "picture-not-hosted",
        message: `“${source.slice(0, 60)}” is on a disk and not at a public address: nobody else will see it.`,
      },
    ];
  if (isForeign(source) && isPrivateHost(source))
    return [
      {
        code: "picture-on-a-private-address",
        message: `“${source.slice(0, 60)}” is inside a network: nobody outside it will see the picture.`,
      },
    ];
  const found: OfPicture[] = [];
  if (/^http:/i.test(source))
    found.push({
      code: "picture-not-encrypted",
      message:
        "Its address begins with http://, and webmail shows no such pictures: upload it, or use https://.",
    });
  const ending = /\.(svg|webp|avif)(?:[?#]|$)/i.exec(source)?.[1]?.toLowerCase() as
    keyof typeof formats | undefined;
  if (ending)
    found.push({
      code: formats[ending],
      message: `It is a picture in ${ending.toUpperCase()}, which not every client shows: upload it, and it is made one that all do.`,
    });
  return found;
}

/** Letters of an alt text that a blocked picture's box has room for, as clients set it: 13 px, some px around it. */
function roomForAlt({ width, height }: Size): number {
  const lines = Math.max(1, Math.floor((height - 4) / 16));
  return Math.floor(((width - 20) / 6.5) * lines);
}

function checkWords(picture: PictureAttributes, leads: boolean): readonly OfPicture[] {
  const { alt, decorative } = picture;
  const said = alt.trim();
  if (said === "" && decorative)
    return leads
      ? [
          {
            code: "decorative-picture-leads",
            message:
              "It is said to be decorative and leads somewhere: a link without words is read out as its address.",
          },
        ]
      : [];
  if (said === "")
    return [
      {
        code: "picture-without-alt",
        message: "It says nothing while pictures are blocked, or when it is read out.",
      },
    ];
  if (isFileName(alt))
    return [
      {
        code: "picture-alt-is-a-file-name",
        message: `It says “${said}” while pictures are blocked, which is the name of a file and says nothing.`,
      },
    ];
  const room = roomForAlt(picture);
  return picture.width > 48 && said.length > Math.max(4, room)
    ? [
        {
          code: "alt-does-not-fit",
          message: `Of “${said.slice(0, 40)}…” about ${Math.max(0, room)} letters are seen in its box while it is blocked: say the most important first.`,
        },
      ]
    : [];
}

/** `facts` is left out where nothing is known of any file; `leads` is whether the picture leads somewhere. */
export function checkPicture(
  node: Node,
  position: number,
  leads: boolean,
  facts?: PictureFactsBySource,
): readonly Found[] {
  const picture = image.of(node);
  const { source } = picture;
  // What is each person's own is made of what is known of them, and of whoever has nothing as was chosen.
  if (source === "" && isOwnPicture(node)) return [];
  if (source === "")
    return [
      {
        code: "picture-not-hosted",
        severity: "attention",
        position,
        message: "No picture is chosen here yet, so nothing is sent.",
      },
    ];
  const found = [...checkAddress(picture), ...checkWords(picture, leads)];
  const known = facts?.[source];
  if (known) append(found, checkFile(picture, known));
  else if (facts && isForeign(source) && !isPrivateHost(source))
    found.push({
      code: "picture-not-looked-at",
      message: "It is at an address elsewhere, and nobody has looked whether recipients can open it.",
    });
  return found.map((one) => ({ ...one, position }));
}
