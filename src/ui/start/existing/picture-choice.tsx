import type { MentionedPicture } from "@/core/importing";
import { isUsable } from "@/core/links";
import { formatBytes, formatSize } from "../../parts/format";
import { FilePicker } from "../../parts/files/file-picker";
import { CheckField } from "../../parts/fields/check-field";
import type { Existing } from "./read-existing";
import { pictureName } from "./use-existing";
import { useLooked, type Looked } from "./use-looked";

interface Props {
  readonly pictures: readonly MentionedPicture[];
  readonly existing: Existing;
  readonly chosen: ReadonlyMap<string, File>;
  readonly onFiles: (files: readonly File[]) => void;
  /** Remote pictures that are to be taken in. */
  readonly taken: ReadonlySet<string>;
  readonly onTaken: (address: string, taken: boolean) => void;
}

/** Every picture of it: what came along is taken in, what lies elsewhere can be, and what is missing is asked for. */
export function PictureChoice({ pictures, existing, chosen, onFiles, taken, onTaken }: Props) {
  const distinct = [...new Map(pictures.map((picture) => [picture.address, picture])).values()];
  const isHere = ({ address }: MentionedPicture): boolean =>
    existing.brought.has(address) || chosen.has(address);
  const looked = useLooked(
    distinct
      .filter(({ kind, address }) => kind === "remote" && /^https?:/i.test(address))
      .map(({ address }) => address),
  );
  const missing = distinct.filter((picture) => picture.kind !== "remote" && !isHere(picture));
  if (distinct.length === 0) return null;
  return (
    <section aria-labelledby="pictures">
      <h2 id="pictures" className="pb-1 font-serif text-xl">
        Pictures
      </h2>
      <ul className="border-t border-hairline">
        {distinct.map((picture) => {
          const { address, alt, kind } = picture;
          const name = alt || (kind === "embedded" ? "A picture in the text" : pictureName(address));
          return (
            <li key={address} className="border-b border-hairline py-1.5 text-sm">
              <span className="block truncate">{name}</span>
              {kind === "remote" && !isHere(picture) ? (
                <>
                  <Found found={looked.get(address)} />
                  <CheckField
                    label="take it in, instead of showing it from where it lies"
                    checked={taken.has(address)}
                    onChange={(wanted) => onTaken(address, wanted)}
                    className="text-xs text-soft"
                  />
                </>
              ) : (
                <span className={`block text-xs ${isHere(picture) ? "text-lichen" : "text-clay"}`}>
                  {isHere(picture)
                    ? `taken in${chosen.has(address) ? ` from ${chosen.get(address)?.name ?? ""}` : " from the file"}`
                    : `missing: ${pictureName(address)}`}
                </span>
              )}
            </li>
          );
        })}
      </ul>
      {missing.length > 0 && (
        <div className="mt-2">
          <div className="flex flex-wrap gap-2">
            <FilePicker multiple accept="image/*" onPick={onFiles}>
              Choose {missing.length === 1 ? "the picture" : `the ${missing.length} pictures`}
            </FilePicker>
            <FilePicker folder onPick={onFiles}>
              Their folder
            </FilePicker>
          </div>
          <p className="mt-1 text-xs text-soft">
            Several at once are told apart by their names. Without them, their places are kept.
          </p>
        </div>
      )}
    </section>
  );
}

/** What a recipient's client would find at the address. */
function Found({ found }: { found: Looked | undefined }) {
  if (!found) return <span className="block text-xs text-soft">Being looked at…</span>;
  if ("problem" in found) return <span className="block text-xs text-clay">{found.problem}</span>;
  const { message, verdict, picture } = found;
  return (
    <span
      className={`block text-xs ${verdict === "open" ? "text-lichen" : isUsable(found) ? "text-clay" : "text-rowan"}`}
    >
      {message}
      {picture && ` ${formatSize(picture.width, picture.height)}, ${formatBytes(picture.bytes)}.`}
    </span>
  );
}
