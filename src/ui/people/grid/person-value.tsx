import { TriangleAlert } from "lucide-react";
import { fieldKind, fieldLink, type FieldId } from "@/core/people";

const wrong = {
  phone: "This is no phone number: it will lead nowhere.",
  mail: "This is no mail address: it will lead nowhere.",
  web: "This is no web address: it will lead nowhere.",
} as const;

/** Why what is in a field leads nowhere; null where it does, and where it need not. */
export function wrongWith(field: FieldId, value: string): string | null {
  const kind = fieldKind(field);
  if (value.trim() === "" || kind === "text" || kind === "date" || kind === "picture") return null;
  return fieldLink(field, value.trim()) === null ? wrong[kind] : null;
}

/** What is in a field, with a sign where it leads nowhere. */
export function PersonValue({ field, value }: { readonly field: FieldId; readonly value: string }) {
  const problem = wrongWith(field, value);
  return (
    <span className="flex min-w-0 items-center gap-1" title={problem ?? undefined}>
      {problem && <TriangleAlert size={13} aria-label={problem} className="shrink-0 text-clay" />}
      <bdi className="min-w-0 truncate">{value}</bdi>
    </span>
  );
}
