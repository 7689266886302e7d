import { Check, TriangleAlert } from "lucide-react";
import type { Install } from "@/contract";
import { formatDay } from "../install/installs/install-words";
import { installKinds } from "../install/kinds";

/** What somebody has put into their mail, and whether that is what the signature is now. */
export const WhereItStands = ({ installs }: { readonly installs: readonly Install[] }) => (
  <ul aria-label="Where you have it" className="space-y-2 pb-4 empty:hidden">
    {installs.map(({ id, kind, form, installedAt, changes }) => (
      <li key={id}>
        <p
          className={`flex items-center gap-1.5 font-medium ${changes === null ? "text-lichen" : "text-clay"}`}
        >
          {changes === null ? <Check size={16} aria-hidden /> : <TriangleAlert size={16} aria-hidden />}
          {`${installKinds[kind].name}${form === "short" ? ", for replies" : ""}: what you put in on ${formatDay(installedAt)} is ${changes === null ? "current" : "out of date"}.`}
        </p>
        {changes && (
          <ul className="pl-[22px] text-sm">
            {changes.map((change) => (
              <li key={change} className="[overflow-wrap:anywhere]">
                {change}
              </li>
            ))}
          </ul>
        )}
      </li>
    ))}
  </ul>
);
