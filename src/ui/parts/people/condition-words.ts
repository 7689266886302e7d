/** Whom something is shown for, in words. */
import { fieldLabel, type Condition } from "@/core/people";

const inWords = new Intl.ListFormat("en", { type: "disjunction" });

export function conditionWords({ field, is, details }: Condition): string {
  const label = fieldLabel(field);
  const listed = details.length === 0 ? "nothing yet" : inWords.format(details);
  switch (is) {
    case "filled":
      return `whoever has something in ${label}`;
    case "empty":
      return `whoever has nothing in ${label}`;
    case "one of":
      return `whose ${label} is ${listed}`;
    case "none of":
      return `whose ${label} is not ${listed}`;
  }
}
