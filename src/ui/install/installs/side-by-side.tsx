import type { ComparedInstall } from "@/contract";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";

/** A signature as it is installed, and as it is now where that is something else. */
export const SideBySide = ({
  install: { before, after, base, changes },
}: {
  readonly install: ComparedInstall;
}) => (
  <div className="grid gap-4 md:grid-cols-2">
    {(
      [
        ["As it is installed", before],
        ...(changes === null ? [] : [["As it is now", after] as const]),
      ] as const
    ).map(([title, html]) => (
      <figure key={title} className="min-w-0">
        <figcaption className="pb-1 text-sm text-soft">{title}</figcaption>
        <div className="border border-hairline bg-canvas p-2">
          <SignatureFrame html={localPictures(html, base)} label={title} width={520} highest={300} fit />
        </div>
      </figure>
    ))}
  </div>
);
