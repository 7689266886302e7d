"use client";

import type { ReactNode } from "react";
import type { FoundPeople } from "@/contract";
import { ChoiceField } from "../parts/fields/choice-field";
import { formatCount } from "../parts/format";
import { departmentChoices } from "../parts/people/department-choices";
import { LookBar } from "../parts/windowed/look-bar";
import type { LookingForPeople } from "./use-looking-for-people";

interface Props {
  readonly looking: LookingForPeople;
  readonly found: FoundPeople;
  readonly children?: ReactNode;
}

/** Looking for people by letters of any detail, and by department. */
export const PeopleLookBar = ({ looking, found, children }: Props) => (
  <LookBar
    label="Look for a person"
    placeholder="name, title or any detail"
    look={looking.typed}
    onLook={looking.type}
    says={looking.says(found.ids.length, formatCount(found.all, "person", "people"))}
  >
    <ChoiceField<string>
      label="Department"
      className="w-56"
      value={looking.department}
      choices={departmentChoices(found.departments, "all departments")}
      onChange={looking.chooseDepartment}
    />
    {children}
  </LookBar>
);
