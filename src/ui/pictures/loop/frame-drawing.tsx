import { addressOf, endpoints } from "@/contract";
import { wordsOf, type LoopSource } from "@/core/pictures";

const box = "h-[72px] w-full";

/** One of a loop's pictures, drawn small without asking the server to render it. */
export function FrameDrawing({ source, picture }: { source: LoopSource; picture: number }) {
  switch (source.kind) {
    case "animation":
    case "pictures": {
      const [hash, frame] =
        source.kind === "animation" ? [source.original, picture] : [source.originals[picture] ?? "", 0];
      return (
        <img
          src={addressOf(endpoints.pictureThumbnail, { hash }, { frame })}
          alt={`Picture ${picture + 1}`}
          draggable={false}
          loading="lazy"
          className={`checkered ${box} object-scale-down`}
        />
      );
    }
    case "ring-cycle":
      return (
        <span className={`checkered flex ${box} items-center justify-center`}>
          <img
            src={addressOf(endpoints.pictureThumbnail, { hash: source.original })}
            alt={`Ring in ${source.colors[picture]}`}
            draggable={false}
            className="h-14 w-14 rounded-full border-4 object-cover"
            style={{ borderColor: source.colors[picture] }}
          />
        </span>
      );
    case "text-reveal":
      return (
        <span
          className={`flex ${box} items-center overflow-hidden px-1 text-xs ${source.text.background ? "" : "checkered"}`}
          style={{ color: source.text.color, background: source.text.background ?? undefined }}
        >
          {picture === 0 ? "(nothing yet)" : wordsOf(source.text.words).slice(0, picture).join(" ")}
        </span>
      );
  }
}
