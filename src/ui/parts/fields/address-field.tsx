import type { ComponentProps } from "react";
import { TextField } from "./text-field";

/** A web address, typed or pasted whole. */
export const AddressField = (props: Omit<ComponentProps<typeof TextField>, "mono">) => (
  <TextField
    mono
    placeholder="https://"
    inputMode="url"
    spellCheck={false}
    className="min-w-0 flex-1"
    {...props}
  />
);
