"use client";

import { FileDown } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { addressOf, endpoints, type PeopleLook } from "@/contract";
import { buttonClass } from "../parts/button";
import { formatCount } from "../parts/format";
import { MenuPanel, menuItemClass } from "../parts/menu-panel";

interface Props {
  readonly look: PeopleLook;
  readonly found: number;
  readonly all: number;
}

const forms = { table: "As a table for spreadsheets (.csv)", cards: "As contact cards (.vcf)" } as const;

/** Those who are found, as a file. */
export function ExportMenu({ look: { look, department, order }, found, all }: Props) {
  const href = (form: keyof typeof forms): string =>
    addressOf(
      endpoints.downloadPeople,
      {},
      {
        ...{ form, order },
        ...(look && { look }),
        ...(department !== null && { department }),
      },
    );
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className={buttonClass("quiet")}>
        <FileDown size={15} aria-hidden />
        Save as a file
      </DropdownMenu.Trigger>
      <MenuPanel className="min-w-64 text-sm">
        <DropdownMenu.Label className="px-3 py-1 text-xs text-soft">
          {found === all ? "Everybody" : `The ${formatCount(found, "person", "people")} found`}
        </DropdownMenu.Label>
        {(["table", "cards"] as const).map((form) => (
          <DropdownMenu.Item key={form} asChild>
            <a href={href(form)} download className={menuItemClass}>
              {forms[form]}
            </a>
          </DropdownMenu.Item>
        ))}
      </MenuPanel>
    </DropdownMenu.Root>
  );
}
