import type { FailedFor } from "@/contract";
import { calledOf } from "./called";

/** Of a long list, so many are read. */
const shown = 20;

/** For whom something could not be done, each with the reason. */
export const FailedForList = ({ failed }: { readonly failed: readonly FailedFor[] }) => (
  <ul className="text-sm text-clay">
    {failed.slice(0, shown).map(({ name, reason }, index) => (
      <li key={index}>
        <bdi>{calledOf(name)}</bdi>: {reason}
      </li>
    ))}
    {failed.length > shown && <li>and {(failed.length - shown).toLocaleString("en")} more</li>}
  </ul>
);
