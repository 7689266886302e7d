import { initialsOf } from "@/core/people";

/** The place of a portrait that is not there. */
export const InitialsCircle = ({ name, size }: { readonly name: string; readonly size: number }) => (
  <div
    className="flex shrink-0 items-center justify-center rounded-full border border-dashed border-soft font-serif text-soft"
    style={{ width: size, height: size, fontSize: size * 0.28 }}
    aria-hidden
  >
    {initialsOf(name)}
  </div>
);
