import { Film } from "lucide-react";
import Link from "next/link";
import { publicBase } from "@/server/addresses/public-address";
import { loopEntries } from "@/server/pictures/catalogue";
import { buttonClass } from "@/ui/parts/button";
import { formatCount } from "@/ui/parts/format";
import { CutTable } from "@/ui/pictures/cut-table";
import { PicturesFrame } from "@/ui/pictures/pictures-frame";

export const metadata = { title: "Loops" };

export default async function LoopsPage() {
  const [loops, base] = await Promise.all([loopEntries(), publicBase()]);
  return (
    <PicturesFrame current="Loops" count={formatCount(loops.length, "loop")}>
      <div className="mb-4 flex items-center gap-4 border-t border-pine pt-4">
        <Link href="/pictures/loops/new" className={buttonClass("primary")}>
          <Film size={15} aria-hidden />
          Make a loop
        </Link>
        <span className="text-soft">
          From an animation, from several pictures, a ring that changes colour, or words that appear one by
          one.
        </span>
      </div>
      {loops.length === 0 ? (
        <p className="py-10 text-center text-soft">No loop yet.</p>
      ) : (
        <CutTable caption="Loops" cuts={loops} base={base} />
      )}
    </PicturesFrame>
  );
}
